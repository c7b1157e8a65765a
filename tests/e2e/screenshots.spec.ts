import { expect, type Page, test } from '@playwright/test'
import { Apprentice } from './apprentice'
import { instruction, saved, signIn, workUntil } from './bench'
import { BenchHand } from './hand'

/** Makes the pictures of docs/screenshots anew from the demo data: npm run screenshots. */
const shot = async (page: Page, name: string) => {
  await page.waitForTimeout(900)
  await page.screenshot({ path: `docs/screenshots/${name}.png` })
}
const openJob = async (page: Page, tag: string, meter: string) => {
  await page.goto('/jobs/new')
  await page.getByLabel('Scan a tag, or type machine, owner or model').fill(tag)
  await page.locator(`[data-machine="${tag}"]`).click()
  await page.getByLabel(/Meter/).fill(meter)
  await page.getByLabel('In the owner’s words').fill('ticks when cold')
  await page.getByRole('button', { name: 'Open the job' }).click()
  await expect(instruction(page)).toBeVisible()
}
const STOPS = [['Wiggle', 'find']] as const

test('the bench at 1280 × 800', async ({ page }) => {
  await signIn(page)
  await page.goto('/')
  await expect(page.locator('[data-job]').first()).toBeVisible()
  await shot(page, 'bay')
  await openJob(page, 'M-0106', '12020')
  const gaps = { intake: 0.1, exhaust: 0.115, degPerMm: 720 }
  for (const [until, name] of STOPS) {
    await workUntil(page, until, gaps)
    await shot(page, name)
  }
  await workUntil(page, 'This job is closed', gaps)
  await saved(page)
  await page.getByRole('link', { name: 'Job sheet' }).click()
  await expect(page.locator('article.sheet')).toBeVisible()
  await page.screenshot({ path: 'docs/screenshots/sheet.png', fullPage: true })
  await page.goto('/machines')
  await expect(page.getByRole('link', { name: 'Duet 405, cream' })).toBeVisible()
  await shot(page, 'machines')
  await page.goto('/spec-book')
  await expect(page.getByRole('cell', { name: /^Grisdel Hedgerow/ })).toBeVisible()
  await page.getByLabel('Find a model').fill('zefrin')
  await expect(page.getByRole('link', { name: /Zephrin/ }).first()).toBeVisible()
  await shot(page, 'spec-book')
  await page.getByLabel('Find a model').fill('duet')
  await page.getByRole('link', { name: 'Vossel Duet 405' }).click()
  await expect(page.getByText('the page gives two readings')).toBeVisible()
  await shot(page, 'spec-model')
  await page.goto('/spec-book')
  await page.getByRole('link', { name: 'Grisdel Hedgerow 18' }).click()
  await page.locator('[data-revision="2"]').click()
  await page.getByRole('link', { name: 'Decide' }).click()
  await expect(page.getByText('What it would do')).toBeVisible()
  await shot(page, 'spec-compare')
  await page.goto('/spec-book/import')
  await page.getByLabel('File', { exact: true }).setInputFiles('tests/e2e/files/twenty-models.csv')
  await page.getByRole('button', { name: 'Check the rows' }).click()
  await expect(page.locator('[data-row]')).toHaveCount(5)
  await shot(page, 'spec-import')

  await page.goto('/spec-book/new')
  await page.getByRole('button', { name: 'Paste its text' }).click()
  await page
    .getByLabel('Text of the page')
    .fill('Valve clearance (cold)\nIntake: 0.08–0.12 mm\nExhaust: 0.13–0.17 mm\nAdjuster lock nut: 12 lbf·ft')
  await page.getByRole('button', { name: 'Read it' }).click()
  await page.getByRole('button', { name: /without doubt/ }).click()
  await page.evaluate(() => (document.activeElement as HTMLElement).blur())
  await shot(page, 'model-from-page')
})

test('the mower past top, dim', async ({ page }) => {
  await signIn(page)
  await openJob(page, 'M-0107', '400').catch(() => {})
  await page.goto('/')
  await page.getByRole('button', { name: /^Ines: / }).click()
  await page.getByRole('menuitem', { name: 'Dim' }).click()
  await page.locator('[data-column=ready]').first().click()
  const gaps = { intake: 0.12, exhaust: 0.17, degPerMm: 156 }
  await workUntil(page, 'Wiggle', gaps)
  await page.keyboard.press('2')
  await expect(instruction(page)).toContainText('past top')
  await shot(page, 'find-past-top-dim')
})

test('the bench on a phone', async ({ browser }) => {
  const page = await (
    await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
  ).newPage()
  await signIn(page)
  await openJob(page, 'M-0106', '12040')
  const gaps = { intake: 0.1, exhaust: 0.115, degPerMm: 720 }
  for (const [until, name] of [['Try 0.10 + 0.04 in the exhaust', 'phone-measure']] as const) {
    await workUntil(page, until, gaps, 'taps')
    await shot(page, name)
  }
  await page.goto('/quick')
  await page.locator('#said').fill('10 15')
  await page.locator('.reading').first().click()
  await shot(page, 'quick')
})

/** A job on a demo model, one move into its Find step. */
async function finding(page: Page, model: string, crankDeg: number): Promise<BenchHand> {
  const hand = await BenchHand.finding(page, model, crankDeg)
  await hand.step()
  await saved(page)
  return hand
}

test('answers that conflict, on a twin', async ({ page }) => {
  await signIn(page)
  const hand = await finding(page, 'Switch 470', 20)
  await hand.until(next => next.step === 'measure')
  await page.keyboard.press('e')
  await page
    .getByTestId('offered')
    .filter({ hasText: 'Left exhaust by eye' })
    .getByRole('button', { name: 'Fully down' })
    .click()
  await expect(page.getByTestId('clash')).toBeVisible()
  await shot(page, 'clash')
})

test('a twin measured and set', async ({ page }) => {
  test.setTimeout(240_000)
  await signIn(page)
  const hand = await BenchHand.finding(
    page,
    'Duet 405',
    0,
    { 'left-intake': 0.03, 'left-exhaust': 0.165, 'right-intake': 0.085, 'right-exhaust': 0.108 },
    { creepMm: -0.035 },
  )
  await hand.until(
    next => next.step === 'measure' && next.trial?.valveId === 'right-exhaust' && next.stage.kind === 'blades',
  )
  await shot(page, 'measure')
  await hand.until(next => next.instruction.startsWith('Loosen'))
  await page.getByRole('button', { name: /Loose; noted/ }).click()
  await page.getByLabel(/Where does the mark point/).fill('1:30')
  await page.getByRole('button', { name: 'Record' }).click()
  let turns = 0
  await hand.until(next => next.instruction.startsWith('Turn the screw') && ++turns > 1)
  await shot(page, 'set')
})

test('practice: a blade in the gap, and a run that went wrong', async ({ page }) => {
  test.setTimeout(300_000)
  const hand = await Apprentice.at(page, 'seed=3&level=1&kind=single')
  for (let i = 0; i < 5; i++) await hand.step()
  await hand.slide()
  await shot(page, 'practice')
  await page.goto('/practice?seed=3&level=2&kind=single')
  await hand.step()
  await hand.answer(1)
  await hand.answer(await hand.slide())
  await page.getByTestId('hand-over').click()
  await page.locator('.p-confirmpopup').getByRole('button', { name: 'Finish and mark it' }).click()
  await expect(page.getByText('Kept with the shop’s runs.')).toBeVisible()
  await shot(page, 'practice-marked')
})

test('a machine over two years, and what is due', async ({ page }) => {
  await signIn(page)
  await page.goto('/machines')
  await page.locator('tbody a', { hasText: 'Duet 405, cream' }).click()
  await expect(page.getByTestId('due')).toBeVisible()
  await shot(page, 'machine')
  await page.goto('/due')
  await page.locator('[data-due="M-0110"]').getByRole('button', { name: 'Tell the owner' }).click()
  await expect(page.getByLabel('Letter')).toBeVisible()
  await shot(page, 'due')
})
