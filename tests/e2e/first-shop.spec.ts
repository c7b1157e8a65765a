import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from '@playwright/test'
// @ts-expect-error a plain script, shared with the test command
import { startServer } from '../../scripts/setup/server.mjs'
import { instruction } from './bench'

test('an empty server: shop and lead, a blade set, a model, a person, a machine and its first job', async ({
  browser,
}) => {
  test.setTimeout(150_000)
  const data = mkdtempSync(join(tmpdir(), 'wembric-empty-'))
  const server = await startServer({ root: process.cwd(), data, args: ['--empty'] })
  const page = await (await browser.newContext({ baseURL: server.env.WEMBRIC_TEST_URL })).newPage()
  const fill = (fields: Record<string, string>) =>
    Object.entries(fields).reduce(async (before, [label, value]) => {
      await before
      await page.getByLabel(label, { exact: true }).first().fill(value)
    }, Promise.resolve())
  try {
    await page.goto('/')
    await expect(page.getByRole('heading', { name: 'Your shop' })).toBeVisible()
    await page.getByRole('button', { name: 'Make the shop' }).click()
    await expect(page.getByRole('alert').first()).toBeVisible()
    await fill({ 'Shop': 'Test shop', 'Name': 'Ada', 'Sign-in name': 'ada', 'Password': 'longenough' })
    await page.getByRole('button', { name: 'Make the shop' }).click()
    await expect(page.getByRole('heading', { name: 'No jobs yet' })).toBeVisible()

    await page.goto('/shelf')
    await fill({ 'Name': 'Set A', 'Sizes, in one line': '0.05 0.08 0.10 0.10' })
    await page.getByRole('button', { name: 'Add it' }).click()
    await expect(page.getByRole('alert')).toContainText('twice')
    await page.getByLabel('Sizes, in one line').fill('0.05 0.08 0.1 cm')
    await page.getByRole('button', { name: 'Add it' }).click()
    await expect(page.getByRole('alert')).toContainText('not a length')
    await page.getByLabel('Sizes, in one line').fill('0.05 0.08 4thou 0.12 0.15')
    await page.getByRole('button', { name: 'Add it' }).click()
    await expect(page.getByRole('heading', { name: 'Set A' })).toBeVisible()

    await page.goto('/spec-book/new')
    await fill({
      'Maker': 'Testor',
      'Model': 'One',
      'Source': 'Manual, p. 3',
      'Source’s date': '2024-02-30',
      'Intake': '0.12–0.08',
      'Exhaust': '0.16 ± 0.03',
      'Why you approve your own entry': 'Checked against the page',
    })
    await page.getByRole('button', { name: 'Add it' }).click()
    await expect(page.getByText('The limits are crossed')).toHaveCount(2)
    await expect(page.getByText('year-month-day').first()).toBeVisible()
    await fill({ 'Source’s date': '2024-02-28', 'Intake': '3–5 thou' })
    await page.getByRole('button', { name: 'Add it' }).click()
    await expect(page.getByRole('heading', { name: 'Testor One' })).toBeVisible()
    await expect(page.getByText('0.076–0.127 mm')).toBeVisible()
    await expect(page.getByText('Revision 1, approved')).toBeVisible()

    await page.goto('/shop')
    await fill({ 'Name': 'Bo', 'Sign-in name': 'bo', 'First password': 'longenough' })
    await page.getByRole('button', { name: 'Add', exact: true }).click()
    await expect(page.getByRole('cell', { name: 'Bo', exact: true })).toBeVisible()

    await page.goto('/jobs/new')
    await page.getByRole('button', { name: 'Add a machine' }).click()
    await fill({ 'Name': 'First mower', 'Tag': 'A-1', 'New owner’s name': 'C. Owner' })
    await page.getByRole('combobox', { name: 'Engine model' }).fill('tester one')
    await page.getByRole('option', { name: /Testor One/ }).click()
    await page.getByRole('button', { name: 'Add it' }).click()
    await page.getByLabel('Meter, h').fill('twelve')
    await page.getByRole('button', { name: 'Open the job' }).click()
    await expect(page.getByRole('alert')).toContainText('as a number')
    await page.getByLabel('Meter, h').fill('12,5')
    await page.getByRole('button', { name: 'Open the job' }).click()
    await expect(instruction(page)).toHaveText('Is this the First mower?')
    await expect(page.getByText('Assumed, not from the source')).toContainText(
      'cam timing, rod length, screw pitch, whether there is a decompressor',
    )
  } finally {
    await page.context().close()
    await server.stop()
    rmSync(data, { recursive: true, force: true })
  }
})
