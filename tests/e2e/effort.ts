import type { Page } from '@playwright/test'

/** What a person did to a page: taps or clicks, characters typed, and pages seen. */
export interface Effort {
  taps: number
  typed: number
  screens: number
}

/** Counts from now on what is done by hand, across the pages that are opened: real pointers and real keys. */
export async function countEffort(page: Page): Promise<void> {
  const count = () => {
    const add = (what: string, n: number) =>
      sessionStorage.setItem(`effort-${what}`, String(Number(sessionStorage.getItem(`effort-${what}`) ?? 0) + n))
    addEventListener('pointerdown', e => e.isTrusted && add('taps', 1), true)
    addEventListener('beforeinput', e => e.isTrusted && add('typed', (e as InputEvent).data?.length ?? 0), true)
    let path = ''
    setInterval(() => {
      if (location.pathname !== path) add('screens', 1)
      path = location.pathname
    }, 50)
  }
  await page.addInitScript(count)
  await page.evaluate(count).catch(() => {})
}

/** What was done since `countEffort`, or since the last `forget`. */
export const effortOf = (page: Page): Promise<Effort> =>
  page.evaluate(() => {
    const of = (what: string) => Number(sessionStorage.getItem(`effort-${what}`) ?? 0)
    return { taps: of('taps'), typed: of('typed'), screens: of('screens') }
  })
export const forgetEffort = (page: Page): Promise<void> =>
  page.evaluate(() => {
    for (const what of ['taps', 'typed', 'screens']) sessionStorage.removeItem(`effort-${what}`)
  })

/** Begins a quick job by hand from the Bay. @returns its id */
export async function beginQuick(page: Page, figures: string, engine: RegExp | null = null): Promise<number> {
  await page
    .getByRole('link', { name: /^Quick job/ })
    .first()
    .click()
  await page.locator('#said').click()
  await page.keyboard.type(figures)
  if (engine) await page.locator('.tile').filter({ hasText: engine }).click()
  await page.getByRole('button', { name: 'Start' }).click()
  await page.waitForURL(/\/jobs\/-\d+$/)
  return Number(/-\d+$/.exec(page.url())![0])
}
