import { fileURLToPath } from 'node:url'

import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

/**
 * The installed page: its parts are kept on the device, and the page itself as it was served last, for when the server
 * is away. Answers of the server are no business of it: what is known of a job is kept by the page (keptAnswers).
 */
const installed = VitePWA({
  registerType: 'autoUpdate',
  injectRegister: null,
  filename: 'sw.js',
  manifest: {
    id: '/',
    name: 'Conch',
    short_name: 'Conch',
    description: 'Threads on the lathe: sizes, plans, the bench and the log.',
    start_url: '/',
    scope: '/',
    display: 'standalone',
    background_color: '#fbf6f0',
    theme_color: '#0e5a63',
    icons: [{ src: '/static/shell.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
  },
  workbox: {
    globPatterns: ['assets/*.{js,css,woff2}', 'shell.svg'],
    modifyURLPrefix: { '': '/static/' },
    // Its own runtime in the same file: the server has one address for it.
    inlineWorkboxRuntime: true,
    sourcemap: false,
    navigateFallback: null,
    runtimeCaching: [
      {
        urlPattern: ({ request }) => request.mode === 'navigate',
        handler: 'NetworkFirst',
        options: {
          cacheName: 'page',
          networkTimeoutSeconds: 4,
          // Every address is the same page.
          plugins: [{ cacheKeyWillBeUsed: () => Promise.resolve('/') }],
        },
      },
    ],
  },
})

/** CONCH_BARE builds the page that the first page's size is measured against. */
const bare = process.env.CONCH_BARE === '1'

export default defineConfig({
  base: '/static/',
  plugins: [vue(), !bare && installed],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  html: { cspNonce: '{{ request.csp_nonce }}' },
  build: {
    outDir: bare ? 'dist-bare' : 'dist',
    manifest: true,
    target: 'es2022',
    rollupOptions: { input: bare ? 'bare/index.html' : 'index.html' },
  },
})
