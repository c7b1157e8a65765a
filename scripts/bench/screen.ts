import { chromium } from '@playwright/test'
import config from '../../playwright.config'
import { newJob, signIn } from '../../tests/e2e/bench'
import { figure, rising, row } from './measure'

/** Nobody answers sooner: the crank is turned, or a blade tried, before a key is pressed. */
export const BETWEEN_MS = 1500

/** Runs in the page, as text: a compiled function would lean on helpers that the page does not have. */
export const PRESS = `key => new Promise((resolve) => {
  const start = performance.now()
  let render = 0
  const seen = new MutationObserver(() => {
    seen.disconnect()
    render = performance.now() - start
    requestAnimationFrame(() => {
      const channel = new MessageChannel()
      channel.port1.onmessage = () => resolve([render, performance.now() - start])
      channel.port2.postMessage(0)
    })
  })
  seen.observe(document.querySelector('.panel .next'), { subtree: true, childList: true, characterData: true })
  window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
})`

/** Runs in the page: the time of each frame while the wheel turns, from the answer on. */
const FRAMES = `key => new Promise((resolve) => {
  const frames = []
  let last = performance.now()
  const until = last + 1000
  const next = (now) => { frames.push(now - last); last = now; now < until ? requestAnimationFrame(next) : resolve(frames) }
  window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
  requestAnimationFrame(next)
})`

/** From a key press to the next instruction in the document, and to the frame that shows it. */
export async function benchScreen(): Promise<void> {
  const browser = await chromium.launch(config.use!.launchOptions)
  const page = await (
    await browser.newContext({ baseURL: process.env.WEMBRIC_TEST_URL, viewport: { width: 1280, height: 800 } })
  ).newPage()
  // the compiler of this script marks functions with a helper of its own
  await page.addInitScript('globalThis.__name = f => f')
  await signIn(page)
  const rendered: number[] = []
  const painted: number[] = []
  const slowest = new Map<string, number[]>()
  for (let job = 0; job < 5; job++) {
    await page.goto(`/jobs/${await newJob(page, 'Minnow 125')}`)
    await page.getByTestId('instruction').waitFor()
    // the first question is read too
    await page.waitForTimeout(BETWEEN_MS)
    for (let i = 0; i < 13; i++) {
      const asked = await page.getByTestId('instruction').innerText()
      const key = asked.startsWith('How cold') ? '2' : '1'
      const [render, paint] = await page.evaluate<[number, number]>(`(${PRESS})(${JSON.stringify(key)})`)
      if (job > 0) {
        rendered.push(render)
        const slow = slowest.get(asked) ?? []
        slowest.set(asked, [...slow, render])
        painted.push(paint)
      }
      await page.waitForTimeout(BETWEEN_MS)
    }
  }
  const frames: number[] = []
  await page.goto(`/jobs/${await newJob(page, 'Switch 470')}`)
  for (let i = 0; i < 30; i++) {
    await page.getByTestId('instruction').waitFor()
    if ((await page.locator('.step.active').getAttribute('data-step')) === 'measure') break
    if ((await page.getByTestId('instruction').innerText()).startsWith('Which figure')) {
      await page.keyboard.press('2')
      await page.getByLabel('Why? The sheet').fill('no lead here')
      await page.getByRole('button', { name: 'Record' }).click()
      continue
    }
    const finding = (await page.locator('.step.active').getAttribute('data-step')) === 'find'
    const key = (await page.getByTestId('instruction').innerText()).startsWith('How cold') ? '2' : '1'
    await page.waitForTimeout(BETWEEN_MS)
    const seen = await page.evaluate<number[]>(`(${FRAMES})(${JSON.stringify(key)})`)
    if (finding) frames.push(...seen)
  }
  await browser.close()
  row('key press → next instruction in the document', rising(rendered), { atMost: 10, p: 95 })
  for (const [asked, ms] of slowest)
    console.warn(`    after “${asked.slice(0, 40)}”`.padEnd(57) + ms.map(m => m.toFixed(1)).join('  '))
  row('key press → painted', rising(painted), { atMost: 33, p: 95 })
  row('a frame while the wheel turns, 180° twin', rising(frames))
  const late = frames.filter(f => f > 20).length
  figure(`frames of ${frames.length} that took over 20 ms`, (100 * late) / frames.length, { atMost: 1 }, '%')
}
