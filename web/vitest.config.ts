import { fileURLToPath } from 'node:url'

import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

/** Run over the server's answers alone, which `server/jobs/tests/test_projected.py` brings. */
const histories = 'tests/projected.test.ts'
const brought = process.env.CONCH_HISTORIES !== undefined

/** What the page does by itself, without a browser: folds, merges, what waits on the device, what the button says. */
export default defineConfig({
  plugins: [vue()],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    environment: 'happy-dom',
    include: [brought ? histories : 'tests/**/*.test.ts'],
    exclude: brought ? [] : [histories],
  },
})
