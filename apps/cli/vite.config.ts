import { defineConfig } from 'vite'

/** One file that runs on plain Node; only packages of the registry stay outside. */
export default defineConfig({
  ssr: { noExternal: [/^@truelay\//] },
  build: { ssr: 'src/main.ts', outDir: 'dist', target: 'node20', emptyOutDir: true },
})
