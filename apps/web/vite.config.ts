import { fileURLToPath } from 'node:url'
import { constants } from 'node:zlib'
import tailwind from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { compression, defineAlgorithm } from 'vite-plugin-compression2'
import { VitePWA } from 'vite-plugin-pwa'
import { firstGlyphs } from './build/firstGlyphs.ts'

export default defineConfig({
  plugins: [
    react(),
    tailwind(),
    firstGlyphs(fileURLToPath(new URL('../../node_modules/.cache/truelay-fonts', import.meta.url))),
    // Packed as tightly as can be, once, beside what is packed; the server hands these out.
    compression({
      algorithms: [defineAlgorithm('brotliCompress', { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } })],
      include: /assets\/.*\.(js|css)$/,
    }),
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'sw',
      filename: 'sw.ts',
      // A newer version waits until somebody takes it: nothing changes in the middle of a fit.
      registerType: 'prompt',
      injectRegister: null,
      injectManifest: {
        globPatterns: ['index.html', 'mark.svg', 'assets/*.{js,css,woff2}'],
        globIgnores: ['**/*-ext-*'],
      },
      manifest: {
        name: 'True Lay',
        short_name: 'True Lay',
        description: 'Works out how each piece of film will lie, and stays beside the installer.',
        display: 'standalone',
        background_color: '#f7f5f0',
        theme_color: '#0b5563',
        icons: [
          { src: '/icons/192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icons/512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icons/512-masked.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
    }),
  ],
  worker: { format: 'es' },
  build: { outDir: 'dist', target: 'es2022', chunkSizeWarningLimit: 1200 },
  server: { proxy: { '/api': `http://localhost:${process.env.TRUELAY_PORT ?? 4600}` } },
})
