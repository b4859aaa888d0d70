import tailwind from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [react(), tailwind()],
  worker: { format: 'es' },
  build: { outDir: 'dist', target: 'es2022', chunkSizeWarningLimit: 1200 },
  server: { proxy: { '/api': `http://localhost:${process.env.TRUELAY_PORT ?? 4600}` } },
})
