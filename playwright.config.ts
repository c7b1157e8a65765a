import { defineConfig } from '@playwright/test'

/** The servers under test, as the test command started them: each worker has one of its own. */
const servers = JSON.parse(process.env.WEMBRIC_TEST_SERVERS ?? '[]') as Record<string, string>[]
Object.assign(process.env, servers[Number(process.env.TEST_PARALLEL_INDEX ?? 0)])

/** Debian's Chromium without its windows, a third faster than with them, and without background requests. */
export default defineConfig({
  testDir: 'tests/e2e',
  // each test makes what it needs, on the server of its worker
  fullyParallel: true,
  workers: Number(process.env.WEMBRIC_TEST_WORKERS ?? 1),
  timeout: 300_000,
  // three browsers on two busy processors: what takes a second here was seen to take twelve
  expect: { timeout: 60_000 },
  // three browsers on two processors lose a click now and then: tried once more, and named as flaky at the end
  retries: 1,
  reporter: [['list'], ['./tests/support/page-reporter.ts']],
  use: {
    baseURL: process.env.WEMBRIC_TEST_URL,
    // loading and animating is most of the work on two processors: tests of either ask for it
    serviceWorkers: 'block',
    contextOptions: { reducedMotion: 'reduce' },
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium-headless-shell',
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
    { name: 'browser', testIgnore: /(?:screenshots|effort)\.spec/ },
    { name: 'screenshots', testMatch: /screenshots/ },
    { name: 'effort', testMatch: /effort\.spec/ },
  ],
})
