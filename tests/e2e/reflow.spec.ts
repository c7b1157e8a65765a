import { expect, type Page, test } from '@playwright/test'
import { axe, newJob, signIn, workUntil } from './bench'
import { reflows, troubled } from './reflow'

const clean = async (page: Page, where: string, rules?: 'contrast') =>
  expect((await axe(page, rules)).map(v => `${where}: ${v.id} ${v.nodes[0]?.target}`)).toEqual([])

test('each Bench step stands the accessibility check, zoom, text spacing and forced colors', async ({ page }) => {
  test.setTimeout(240_000)
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
    await clean(page, stop)
    // what is taken in hand has panels of its own
    if (stop === 'Try')
      for (const key of ['x', 't', 's', '?']) {
        await page.keyboard.press(key)
        await clean(page, `${stop}, ${key}`)
        await page.keyboard.press('Escape')
      }
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
  await page.evaluate(() => document.documentElement.classList.add('dark'))
  await clean(page, 'Dim', 'contrast')
  await page.evaluate(() => document.documentElement.classList.remove('dark'))
  await page.keyboard.press('m')
  for (const [width, height] of [
    [768, 1024],
    [390, 844],
  ] as const) {
    await page.setViewportSize({ width, height })
    expect(await troubled(page, '.side button'), `More at ${width}`).toEqual([])
  }
})

test('where an answer was given by keyboard on a key, the next one can be', async ({ page }) => {
  await signIn(page)
  await page.goto(`/jobs/${await newJob(page, 'Minnow 125')}`)
  await page.locator('[data-key="1"]').focus()
  for (let i = 0; i < 4; i++) {
    await workUntil(page, 'Sign and close', { intake: 0.06, exhaust: 0.105, degPerMm: 720 }, 'keys', 1)
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
