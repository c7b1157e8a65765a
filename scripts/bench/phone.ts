import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Page } from '@playwright/test'
import config from '../../playwright.config'
import { newJob, signIn } from '../../tests/e2e/bench'
import { figure, rising, row } from './measure'
import { BETWEEN_MS, PRESS } from './screen'

/** So many times slower than this machine: a cheap phone. */
const SLOWER = 4
const OPENINGS = 5
const ANSWERS = 13

/** Notes, in the page, when the first answer key can be pressed: since the page was asked for. */
const FIRST_KEY = `new MutationObserver((_, seen) => {
  if (!document.querySelector('.keys .key')) return
  seen.disconnect()
  const ms = performance.now()
  const asked = performance.getEntriesByType('resource').filter(r => r.startTime < ms).length
  // the page itself is one, and the news of the shop, which never ends, another
  globalThis.firstKey = { ms, requests: asked + 2 }
}).observe(document, { subtree: true, childList: true })`

/**
 * A phone that was here before: the program is kept on it. Its profile is on the disk, as a phone's is: a browser
 * without one keeps no compiled program beside the program.
 */
async function phoneWithProgram(): Promise<{ page: Page; close: () => Promise<void> }> {
  const profile = mkdtempSync(join(tmpdir(), 'wembric-phone-'))
  const context = await chromium.launchPersistentContext(profile, {
    ...config.use!.launchOptions,
    baseURL: process.env.WEMBRIC_TEST_URL!,
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    serviceWorkers: 'allow',
  })
  const page = await context.newPage()
  // the compiler of this script marks functions with a helper of its own
  await page.addInitScript('globalThis.__name = f => f')
  await signIn(page)
  await page.goto('/')
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => {}))
  await page.addInitScript(FIRST_KEY)
  const close = async () => {
    await context.close()
    rmSync(profile, { recursive: true, force: true })
  }
  return { page, close }
}

/** The Bench on a slow phone: opened from what is kept on it, and how long an answer takes until it is painted. */
export async function benchPhone(): Promise<void> {
  const { page, close } = await phoneWithProgram()
  const job = await newJob(page, 'Minnow 125')
  const devtools = await page.context().newCDPSession(page)
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWER })
  let requests = 0
  const opened: number[] = []
  for (let i = 0; i < OPENINGS; i++) {
    await page.goto('/mark.svg')
    await page.goto(`/jobs/${job}`)
    await page.locator('.keys .key').first().waitFor()
    const first = await page.evaluate<{ ms: number; requests: number }>('globalThis.firstKey')
    opened.push(first.ms)
    requests = first.requests
  }
  row('slow phone: from the address to the first answer key', rising(opened), { atMost: 1200 })
  figure('slow phone: requests until then', requests, { atMost: 15 })
  const painted: number[] = []
  for (let i = 0; i < ANSWERS; i++) {
    const key = (await page.getByTestId('instruction').innerText()).startsWith('How cold') ? '2' : '1'
    await page.waitForTimeout(BETWEEN_MS * 2)
    const [, paint] = await page.evaluate<[number, number]>(`(${PRESS})(${JSON.stringify(key)})`)
    painted.push(paint)
  }
  row('slow phone: key press → painted', rising(painted), { atMost: 100, p: 95 })
  await close()
}
