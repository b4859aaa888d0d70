import { defineConfig } from 'vite'

/** The server as one file for plain Node; packages of the registry stay outside. */
export default defineConfig({
  ssr: { noExternal: [/^@truelay\//] },
  build: { ssr: 'src/main.ts', outDir: 'dist', target: 'node20', emptyOutDir: true },
})
