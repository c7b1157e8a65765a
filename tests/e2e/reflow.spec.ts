import { expect, test } from '@playwright/test'
import { newJob, signIn, workUntil } from './bench'
import { reflows, troubled, wider, WIDTHS } from './reflow'

test('each Bench step stands zoom, text spacing and forced colors, and a key’s answer leaves the focus on a key', async ({
  page,
}) => {
  test.setTimeout(180_000)
  await signIn(page)
  const job = await newJob(page, 'Minnow 125')
  await page.goto(`/jobs/${job}`)
  const gaps = { intake: 0.06, exhaust: 0.105, degPerMm: 720 }
  for (const stop of [
    'Is this the',
    'How cold',
    'Remove the valve cover',
    'Find intake',
    'Wiggle',
    'Try',
    'Turn the screw',
    'Turn it over',
    'Which gasket',
    'Sign and close',
  ]) {
    await workUntil(page, stop, gaps)
    await reflows(page, stop)
    await page.emulateMedia({ forcedColors: 'active' })
    const unseen = await page.evaluate(() => {
      const ground = getComputedStyle(document.body).backgroundColor
      const lines = [...document.querySelectorAll('svg.wheel .hand, svg.wheel .stop, svg .limits, [data-key]')]
      return lines
        .filter(e => {
          const { stroke, fill, borderTopColor } = getComputedStyle(e)
          return [stroke, fill, borderTopColor].every(c => c === ground || c === 'none')
        })
        .map(e => e.getAttribute('class'))
    })
    expect(unseen, `${stop}, forced colors`).toEqual([])
    await page.emulateMedia({ forcedColors: 'none' })
  }
  await page.keyboard.press('m')
  for (const [width, height] of [
    [768, 1024],
    [390, 844],
  ] as const) {
    await page.setViewportSize({ width, height })
    expect(await troubled(page, '.side button'), `More at ${width}`).toEqual([])
  }
  // where an answer was given by keyboard on a key, the next one can be
  const other = await newJob(page, 'Minnow 125')
  await page.goto(`/jobs/${other}`)
  await page.locator('[data-key="1"]').focus()
  for (let i = 0; i < 4; i++) {
    await workUntil(page, 'Sign and close', { ...gaps }, 'keys', 1)
    expect(await page.evaluate(() => document.activeElement?.hasAttribute('data-key'))).toBe(true)
  }
})

test('the pictures of the Bench say in words the figures that they show', async ({ page }) => {
  await signIn(page)
  const job = await newJob(page, 'Minnow 125')
  await page.goto(`/jobs/${job}`)
  const gaps = { intake: 0.06, exhaust: 0.105, degPerMm: 720 }
  await workUntil(page, 'Find intake', gaps)
  await expect(page.locator('svg.head')).toHaveAttribute(
    'aria-label',
    /Muffler side: Exhaust\. Carburetor side: Intake\./,
  )
  await workUntil(page, 'Wiggle', gaps)
  // both tops that the letter may be, each with its chance
  await expect(page.locator('svg.wheel')).toHaveAttribute('aria-label', /0°.+\d+ percent.+360°.+\d+ percent/)
  await workUntil(page, 'Try', gaps)
  // limits and aim as they are drawn, in the tree that a screen reader is given
  const rule = page.locator('svg[aria-label*="Limits"]').first()
  await expect(rule).toHaveAttribute('aria-label', /Limits 0\.\d\d to 0\.\d\d mm, aim 0\.\d+/)
})

test('nothing is wider than its screen, on every page and width', async ({ page }) => {
  test.setTimeout(150_000)
  await signIn(page)
  for (const path of [
    '/',
    '/due',
    '/machines',
    '/machines/1',
    '/machines/1/tag',
    '/customers/1',
    '/spec-book',
    '/spec-book/1',
    '/spec-book/new',
    '/spec-book/import',
    '/shelf',
    '/shop',
    '/jobs/new',
    '/jobs/20',
    '/jobs/17',
    '/jobs/1/sheet',
    '/practice',
    '/practice?seed=12',
    '/glossary',
    '/sign-in',
  ]) {
    await page.goto(path)
    await expect(page.locator('h1').first()).toBeAttached()
    for (const width of WIDTHS) {
      await page.setViewportSize({ width, height: 800 })
      expect(await wider(page), `${path} at ${width}`).toEqual([])
    }
  }
})
