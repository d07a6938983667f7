import { fileURLToPath } from 'node:url'

import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'

/** The page that shows all that pages are made of, for the tests alone; where it is built to is said when it is built. */
export default defineConfig({
  root: fileURLToPath(new URL('./tests/system', import.meta.url)),
  base: './',
  plugins: [vue()],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  build: { target: 'es2022', emptyOutDir: true },
})
