import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'

/** The hidden truth of a test engine: its gaps in mm, and screw degrees a mm. */
export interface Gaps {
  intake: number
  exhaust: number
  degPerMm: number
}

/** Signs in without the form, which has a test of its own; the page is left on one of the server's files. */
export async function signIn(page: Page, name = 'ines', password = 'quillbrook'): Promise<void> {
  const answer = await page.request.post('/api/session', { data: { signIn: name, password } })
  expect(answer.status()).toBe(200)
  await page.addInitScript(() => {
    const against: string[] = []
    document.addEventListener('securitypolicyviolation', e => against.push(`${e.violatedDirective} ${e.blockedURI}`))
    Object.assign(window, { against })
  })
  await page.goto('/mark.svg')
}

let machines = 0
/** Adds a machine of a demo model through the API and opens a job on it. */
export async function newJob(page: Page, model: string, setName: string | null = null): Promise<number> {
  return page.evaluate(
    async ({ model, n, setName }) => {
      const get = async (path: string) => (await fetch(path)).json()
      const post = async (path: string, body: unknown) =>
        (
          await fetch(path, {
            method: 'POST',
            body: JSON.stringify(body),
            headers: { 'content-type': 'application/json' },
          })
        ).json()
      const found = (await get(`/api/models?q=${encodeURIComponent(model)}`)).rows.find(
        (m: { model: string }) => m.model === model,
      )
      const machine = await post('/api/machines', {
        name: `${model}, test ${n}`,
        tag: `E-${n}-${Date.now() % 1e7}`,
        modelId: found.id,
        meterUnit: 'h',
        customer: { name: 'E. Owner' },
      })
      const sets = await get('/api/blade-sets')
      const set = sets.find((s: { name: string }) => s.name === setName) ?? sets[0]
      return (await post('/api/jobs', { machineId: machine.id, bladeSetId: set.id, meter: 12, complaint: 'due' }))
        .id as number
    },
    { model, n: ++machines, setName },
  )
}

/**
 * What axe has against a page: what it found in order is not gathered, which takes most of its time. Contrast takes
 * most of the rest, and is left out where the same colors were looked at before.
 */
export async function axe(page: Page, rules: 'all' | 'contrast' | 'all but contrast' = 'all') {
  const builder = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] })
  if (rules === 'contrast') builder.withRules('color-contrast')
  if (rules === 'all but contrast') builder.disableRules('color-contrast')
  return (await builder.analyze()).violations
}

/**
 * What a screen reader, or an eye that needs contrast, would stumble over: nothing. Nor a fact that nobody told, nor
 * anything that the page's own policy forbids.
 */
export async function noViolations(page: Page): Promise<void> {
  expect(await page.evaluate(() => (window as unknown as { against?: string[] }).against ?? [])).toEqual([])
  expect((await axe(page)).map(v => v.id)).toEqual([])
  expect(await page.locator('body').innerText()).not.toContain('"say"')
}

export const instruction = (page: Page) => page.getByTestId('instruction')

/** Which key is true for a virtual engine that stands at compression TDC on the first T: the first, but for blades. */
function keyFor(text: string, label: string, gaps: Gaps): number {
  if (text.startsWith('How cold')) return 2
  const blade = /(?:Try|feel) (\d\.\d+(?: \+ \d\.\d+)*)/.exec(text)?.[1]
  if (!blade) return 1
  const role = label.toLowerCase().includes('exhaust') || text.includes('exhaust') ? 'exhaust' : 'intake'
  const turn = /screw (\d+)° (counter)?clockwise/.exec(text)
  if (turn) gaps[role] -= (Number(turn[1]) * (turn[2] ? -1 : 1)) / gaps.degPerMm
  const t = blade.split(' + ').reduce((sum, part) => sum + Math.round(Number(part) * 1e4), 0) / 1e4
  const gap = gaps[role]
  return gap < t - 0.01 ? 4 : gap < t ? 3 : gap < t + 0.015 ? 2 : 1
}

/**
 * Answers, by keyboard or by double taps, until an instruction begins with given words, or so many times. Returns what
 * was asked.
 */
export async function workUntil(
  page: Page,
  until: string,
  gaps: Gaps,
  how: 'keys' | 'taps' = 'keys',
  most = 80,
): Promise<string[]> {
  const asked: string[] = []
  for (let i = 0; i < most; i++) {
    const text = await instruction(page).innerText()
    if (text.replaceAll('\n', ' ').startsWith(until)) return asked
    asked.push(text)
    const label = await page.locator('.panel .label').innerText()
    const key = keyFor(text, label, gaps)
    const before = await page.locator('.panel .next').innerText()
    if (how === 'keys') await page.keyboard.press(String(key))
    else await tapTwice(page, `[data-key="${key}"]`)
    await expect
      .poll(async () => await page.locator('.panel .next, .panel .closed').first().innerText(), {
        ...SOON,
        message: `after “${text}”`,
      })
      .not.toBe(before)
  }
  if (most < 80) return asked
  throw new Error(`“${until}” never came:\n${asked.join('\n')}`)
}

/** Presses an answer key as soon as it has rested: looked for at each frame, a job is many of these. */
export async function pressKey(page: Page, n: number): Promise<void> {
  const selector = `[data-key="${n}"]`
  await page.waitForFunction(s => document.querySelector(s)?.getAttribute('aria-disabled') === 'false', selector)
  await page.locator(selector).click()
}

/** How long a thumb takes to come down again, ms: a bounce, and two taps in a hurry. */
const AGAIN_MS = [0, 40, 120, 250, 330, 400]
let taps = 0
/** A thumb that bounces: the second tap comes down where the first was, whatever stands there by then. */
async function tapTwice(page: Page, selector: string): Promise<void> {
  const key = page.locator(selector)
  await expect(key).toBeEnabled()
  await key.scrollIntoViewIfNeeded()
  const box = (await key.boundingBox())!
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  const first = Date.now()
  await page.touchscreen.tap(x, y)
  const left = AGAIN_MS[taps++ % AGAIN_MS.length]! - (Date.now() - first)
  if (left > 0) await page.waitForTimeout(left)
  // on a busy machine it may be too late for two taps in a hurry by now
  if (Date.now() - first <= AGAIN_MS.at(-1)! + 20) await page.touchscreen.tap(x, y)
}

/** Waits until the shop has every answer; looked for at each frame, for a job is hundreds of these. */
export const saved = (page: Page) =>
  page.waitForFunction(() =>
    document
      .querySelector('[data-testid=saved]')
      ?.textContent?.trim()
      .match(/^(Saved|Guardado|⟦Saved⁝.*)$/),
  )

/** Asked again soon at first: what a hand waits for comes in a few frames. */
export const SOON = { intervals: [10, 20, 30, 50, 100, 250] }
