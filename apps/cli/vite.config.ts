import { defineConfig } from 'vite'

/** A program that runs on plain Node, and the thread in which it reads meshes. All packages are built in, as far as they are used: it starts sooner. */
export default defineConfig({
  ssr: { noExternal: true },
  build: {
    ssr: true,
    rollupOptions: {
      input: { main: 'src/main.ts', meshReader: 'src/meshReader.ts' },
      output: { entryFileNames: '[name].js', chunkFileNames: '[name].js' },
    },
    outDir: 'dist',
    target: 'node20',
    emptyOutDir: true,
  },
})
