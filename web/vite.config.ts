import { fileURLToPath } from 'node:url'

import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'

/** CONCH_BARE builds the page that the first page's size is measured against. */
const bare = process.env.CONCH_BARE === '1'

export default defineConfig({
  base: '/static/',
  plugins: [vue()],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  html: { cspNonce: '{{ request.csp_nonce }}' },
  build: {
    outDir: bare ? 'dist-bare' : 'dist',
    manifest: true,
    target: 'es2022',
    rollupOptions: { input: bare ? 'bare/index.html' : 'index.html' },
  },
})
