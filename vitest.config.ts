import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

const root = fileURLToPath(new URL('.', import.meta.url))
const alias = { '~~': root.replace(/\/$/, '') }

export default defineConfig({
  test: {
    // the default leaves one processor of two idle
    maxWorkers: 2,
    projects: [
      {
        resolve: { alias },
        test: {
          name: 'core',
          isolate: false,
          pool: 'threads',
          include: ['core/**/*.test.ts', 'words/**/*.test.ts', 'shared/**/*.test.ts', 'evaluation/**/*.test.ts'],
          environment: 'node',
          testTimeout: 30_000,
        },
      },
      {
        plugins: [vue()],
        resolve: {
          alias: {
            ...alias,
            '#components': fileURLToPath(new URL('tests/support/nuxt-components.ts', import.meta.url)),
            '#imports': fileURLToPath(new URL('tests/support/nuxt-imports.ts', import.meta.url)),
          },
        },
        test: {
          name: 'app',
          isolate: false,
          pool: 'threads',
          include: ['app/**/*.test.ts'],
          environment: 'happy-dom',
          setupFiles: ['app/quiet-after-tests.ts', 'app/words-for-tests.ts'],
          testTimeout: 30_000,
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'server',
          include: ['tests/integration/**/*.test.ts'],
          environment: 'node',
          setupFiles: ['tests/support/own-server.ts'],
          // a limit is for what hangs: what takes 40 s on an idle machine was seen to take 120 beside browsers
          expect: { poll: { timeout: 60_000 } },
          testTimeout: 300_000,
          hookTimeout: 300_000,
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'engines',
          include: ['tests/engines/**/*.test.ts'],
          environment: 'node',
          fileParallelism: false,
          // beside other work a browser loses a movement now and then
          retry: 1,
          // as long as a page is waited for elsewhere: what takes a second was seen to take twelve
          expect: { poll: { timeout: 60_000 } },
          testTimeout: 300_000,
          hookTimeout: 300_000,
        },
      },
    ],
  },
})
