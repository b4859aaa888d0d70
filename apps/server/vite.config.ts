import { defineConfig } from 'vite'

/** What is built for one machine or reads files of its own stays a package. */
const outside = ['@libsql/client', 'libsql', '@node-rs/argon2', 'pdfkit', 'fontkit', 'subset-font', 'pino']

/** The server as one file for plain Node; other packages are built in, as far as they are used: it starts sooner. */
export default defineConfig({
  ssr: { noExternal: true, external: outside },
  build: { ssr: 'src/main.ts', outDir: 'dist', target: 'node20', emptyOutDir: true },
})
