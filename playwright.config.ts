import { defineConfig } from '@playwright/test'

/** One worker, Debian's Chromium, no background requests. The test command starts the server and names it. */
export default defineConfig({
  testDir: 'tests/e2e',
  workers: 1,
  timeout: 90_000,
  expect: { timeout: 10_000 },
  reporter: [['list']],
  use: {
    baseURL: process.env.WEMBRIC_TEST_URL,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-dev-shm-usage',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
  },
  projects: [
    { name: 'browser', testIgnore: /screenshots/ },
    { name: 'screenshots', testMatch: /screenshots/ },
  ],
})
