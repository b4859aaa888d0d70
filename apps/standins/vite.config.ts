import { defineConfig } from 'vite'

/** The stand-ins as one file for plain Node; packages of the registry stay outside. */
export default defineConfig({
  build: { ssr: 'src/main.ts', outDir: 'dist', target: 'node20', emptyOutDir: true },
})
