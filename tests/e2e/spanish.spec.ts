import { expect, type Page, test } from '@playwright/test'
import { tellSpanish } from '../../words/es'
import { instruction, newJob, noViolations, signIn } from './bench'
import { BenchHand } from './hand'

test.use({ locale: 'es-MX' })

/** Choices that the code has English names for, which a sentence might print as they are. */
const CHOICES =
  /\b(intake|exhaust|locked|nipped|tight|loose|unproved|cold|hot|hours|lead|mechanic|draft|free|bent|worn)\b/i
/** Words that no Spanish screen has, but in what somebody typed. */
const ENGLISH = /\b(the|with|until|turn|saved|screw|blade|valve|crank|not|your|this|spec|sheet)\b/i

const fits = async (page: Page, width: number) =>
  expect(await page.evaluate(() => document.documentElement.scrollWidth), page.url()).toBeLessThanOrEqual(width)

test('a device that speaks Spanish is spoken to in Spanish, and may choose', async ({ page }) => {
  await page.goto('/sign-in')
  await expect(page.locator('html')).toHaveAttribute('lang', 'es')
  await expect(page.getByRole('heading', { name: 'Entrar' })).toBeVisible()
  await page.getByRole('button', { name: 'English' }).click()
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  await expect(page.locator('html')).toHaveAttribute('lang', 'en')
  // it is remembered, also after the page was left
  await page.reload()
  await page.getByRole('button', { name: 'Español' }).click()
  await expect(page.getByRole('heading', { name: 'Entrar' })).toBeVisible()
})

test('a whole job in Spanish on a phone: found, set, proved, signed, and its sheet in the words that it was signed in', async ({
  page,
}) => {
  test.setTimeout(240_000)
  await page.setViewportSize({ width: 390, height: 844 })
  await signIn(page)
  const job = await newJob(page, 'Minnow 125')
  const hand = await BenchHand.at(page, job, 400, { exhaust: 0.1 })
  hand.tell = tellSpanish
  await page.goto(`/jobs/${job}`)
  await expect(instruction(page)).toBeVisible()
  const seen = new Set<string>()
  await hand.until(next => {
    seen.add(next.step)
    return next.instruction.startsWith('Sign and close')
  })
  expect([...seen]).toEqual(expect.arrayContaining(['ready', 'find', 'measure', 'set', 'prove', 'close']))
  await fits(page, 390)
  await noViolations(page)
  await expect(page.locator('.keys')).not.toContainText(ENGLISH)
  await hand.step()
  await page.goto(`/jobs/${job}/sheet`)
  const sheet = page.locator('article.sheet')
  await expect(sheet).toContainText('firmada por Ines')
  await expect(sheet).toContainText('Funcionó bien: sin ruido ni fuga')
  await expect(sheet).toContainText('Escape')
  await fits(page, 390)
  const { content } = await page.evaluate(
    async id => ({ content: await (await fetch(`/api/jobs/${id}/sheet`)).json() }),
    job,
  )
  expect(content.sheet.run).toBe('Funcionó bien: sin ruido ni fuga')
})

test('lists and forms in Spanish fit a phone and say nothing in English', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await signIn(page)
  for (const path of ['/', '/shelf', '/due', '/practice?seed=12', '/shop', '/jobs/new', '/spec-book/4', '/glossary']) {
    await page.goto(path)
    await expect(page.locator('h1, [data-testid=instruction]').first()).toBeVisible()
    await fits(page, 390)
    await expect(page.locator('header nav')).not.toContainText(ENGLISH)
    // what a shop typed stays as it is: on the Bay that is complaints
    if (path !== '/') await expect(page.locator('main')).not.toContainText(CHOICES)
  }
})
