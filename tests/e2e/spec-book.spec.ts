import { expect, type Page, test } from '@playwright/test'
import { PNG } from 'pngjs'
import { MINNOW } from '../../server/demo/models/singles'
import { axe, instruction, newJob, saved, signIn } from './bench'

const field = (page: Page, label: string) => page.getByLabel(label, { exact: true })
/** A model of this test's own, so that no other test's job is superseded. @returns its page's address */
async function ownModel(page: Page, model: string): Promise<string> {
  const id = await page.evaluate(
    async body =>
      (
        (await (
          await fetch('/api/models', {
            method: 'POST',
            body: JSON.stringify(body),
            headers: { 'content-type': 'application/json' },
          })
        ).json()) as { id: number }
      ).id,
    { ...MINNOW, model, code: model.replaceAll(' ', ''), approveBecause: 'the only lead here' },
  )
  return `/spec-book/${id}`
}
const findAndOpen = async (page: Page, typed: string, name: string) => {
  await page.goto('/spec-book')
  await field(page, 'Find a model /').fill(typed)
  // the list that was there before has the same link elsewhere
  await expect(page.getByText(/\d+ that fit/)).toBeVisible()
  await page.getByRole('link', { name, exact: true }).click()
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible()
}

test('find, read, draft, compare, approve; an open job is offered the new figures and takes them', async ({
  page,
  browser,
}) => {
  test.setTimeout(120_000)
  await signIn(page)
  await ownModel(page, 'Specimen 131')
  const job = await newJob(page, 'Specimen 131')
  await page.goto(`/jobs/${job}`)
  await expect(instruction(page)).toBeVisible()

  const tam = await (await browser.newContext()).newPage()
  await signIn(tam, 'tam')
  await findAndOpen(tam, 'zefrin specimen131', 'Zephrin Specimen 131')
  await expect(tam.getByText('0.08–0.12 mm').first()).toBeVisible()
  await expect(tam.getByText('7.2°')).toBeVisible()
  await tam.keyboard.press('n')
  await expect(field(tam, 'Exhaust')).toHaveValue('0.14')
  await field(tam, 'Exhaust').fill('0.018')
  await tam.getByRole('button', { name: 'Save the draft' }).click()
  await expect(tam.getByRole('alert').filter({ hasText: 'may be a slip' })).toContainText('0.180 mm')
  await field(tam, 'Exhaust').fill('0.16 ± 0.02')
  await field(tam, 'Source').fill('Zephrin bulletin 9')
  await tam.getByRole('button', { name: 'Save the draft' }).click()
  await expect(tam.getByText('Give the reason for the change').first()).toBeVisible()
  await field(tam, 'Reason for the change').fill('Bulletin 9 raises the exhaust')
  await tam.getByRole('button', { name: 'Save the draft' }).click()
  await expect(tam.locator('[data-line=exhaust]')).toContainText('0.02 mm looser')
  await expect(tam.locator('[data-line=exhaust] .flag')).toHaveText('≠ Changed')
  await expect(tam.getByText('You can’t approve your own draft')).toBeVisible()
  const address = tam.url()

  await page.goto(address)
  await expect(page.getByRole('heading', { name: 'Approve draft 2?' })).toBeVisible()
  await page.getByRole('button', { name: /^Approve/ }).click()
  await expect(page.getByRole('heading', { name: 'Revision 2 is in force' })).toBeVisible()
  await expect(page.getByText('1 open job goes by an earlier one')).toBeVisible()

  await page.goto(`/jobs/${job}`)
  await page.getByRole('button', { name: 'See what changes' }).click()
  await expect(page.getByRole('region', { name: 'What it changes' })).toContainText('0.14–0.18 mm')
  await page.getByRole('button', { name: /Take revision 2/ }).click()
  await expect(page.getByText('The spec was superseded')).toHaveCount(0)
  await expect(page.locator('[data-valve=exhaust]').first()).toContainText('0.14–0.18')
  await saved(page)
  await page.goto(`/jobs/${job}/sheet`)
  await expect(page.locator('article.sheet')).toContainText(
    'Started with revision 1; Ines switched to revision 2 when it came into force',
  )
  await page.goto(address.split('/compare')[0]!)
  await page.locator('[data-revision="1"]').click()
  await expect(page.getByText('Revision 1, superseded').first()).toBeVisible()
  await expect(page.getByText('a bare figure')).toBeVisible()
})

/** Opens a part of the form of a model. */
const part = (page: Page, name: string) => page.getByRole('button', { name: new RegExp(`^${name}`) }).click()

test('two people change one model at once: the second sees what the first changed, and keeps what was typed', async ({
  page,
  browser,
}) => {
  await signIn(page)
  const address = await ownModel(page, 'Specimen 137')
  await page.goto(`${address}/draft`)
  await part(page, 'Torques, parts, schedule')
  await field(page, 'Plug torque').fill('14')
  await field(page, 'Reason for the change').fill('Second printing')
  const tam = await (await browser.newContext()).newPage()
  await signIn(tam, 'tam')
  await tam.goto(`${address}/draft`)
  await part(tam, 'Torques, parts, schedule')
  await field(tam, 'Locknut torque').fill('9')
  await field(tam, 'Reason for the change').fill('Letter 4')
  await tam.getByRole('button', { name: 'Save the draft' }).click()
  await expect(tam.locator('[data-line=locknut]')).toContainText('1 N·m more')

  await page.getByRole('button', { name: 'Save the draft' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'Tam saved draft 2' })).toContainText('8 N·m → 9 N·m')
  await expect(field(page, 'Plug torque')).toHaveValue('14')
  await page.getByRole('button', { name: 'I have checked it' }).click()
  await field(page, 'Locknut torque').fill('9')
  await page.getByRole('button', { name: 'Save the draft' }).click()
  await expect(page.locator('[data-line=plug]')).toContainText('2 N·m more')
  // their own draft, and no other lead in this shop: a reason is wanted
  await page.getByRole('button', { name: /^Approve/ }).click()
  await page.getByRole('button', { name: 'Approve it' }).click()
  await expect(page.getByText('Say why you approve your own draft.')).toBeVisible()
  await page.getByLabel('Your own draft').fill('The only lead; Tam looked at it')
  await page.getByRole('button', { name: 'Approve it' }).click()
  await expect(page.getByRole('heading', { name: 'Revision 3 is in force' })).toBeVisible()
})

test('a list of twenty with five mistakes: each is named, the rest is written, and the book comes back the same from its own file', async ({
  page,
}) => {
  await signIn(page)
  await page.goto('/spec-book/import')
  await field(page, 'File').setInputFiles('tests/e2e/files/twenty-models.csv')
  // the whole page, so that a failure shows what it said instead
  await expect(page.locator('main')).toContainText('1 left out')
  await page.getByRole('button', { name: 'Check the rows' }).click()
  const mistakes = [
    [5, 'Exhaust', 'tighter than the intake'],
    [9, 'Inlet', 'wider than a valve is set to'],
    [13, 'Inlet', 'The limits are crossed'],
    [16, 'Model name', 'The same model as row 4'],
    [19, 'Date', 'year-month-day'],
  ] as const
  await expect(page.locator('[data-row]')).toHaveCount(mistakes.length)
  for (const [row, column, says] of mistakes) {
    await expect(page.locator(`[data-row="${row}"]`)).toContainText(column)
    await expect(page.locator(`[data-row="${row}"]`)).toContainText(says)
  }
  expect(await axe(page)).toEqual([])
  await page.locator('[data-row="5"]').getByRole('button', { name: 'It’s printed that way' }).click()
  await expect(page.locator('[data-row="5"]')).toHaveCount(0)
  await page.getByLabel('Why you approve your own entry').fill('Copied from our own cards')
  await page.getByRole('button', { name: 'Write 16 models' }).click()
  await expect(page.getByText('16 new and 0 changed, approved.')).toBeVisible()

  await findAndOpen(page, 'bracken', 'Quarrick Bracken 200')
  await expect(page.getByText('Answered “as printed” by Ines')).toBeVisible()
  await page.goto('/spec-book')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as' }).click()
  await page.getByRole('menuitem', { name: 'CSV', exact: true }).click()
  const path = await (await download).path()
  await page.goto('/spec-book/import')
  await field(page, 'File').setInputFiles({
    name: 'ours.csv',
    mimeType: 'text/csv',
    buffer: await (await import('node:fs/promises')).readFile(path),
  })
  await expect(page.locator('main')).toContainText('Every column is assigned')
  await page.getByRole('button', { name: 'Check the rows' }).click()
  await expect(page.getByRole('button', { name: 'Nothing to write' })).toBeDisabled()
  for (const state of ['with a problem', 'new', 'changed'])
    await expect(page.getByRole('tab', { name: state })).toContainText('0')
})

test('nothing found leads to adding; a picture renamed to .csv is refused in words; a token is shown once', async ({
  page,
}) => {
  await signIn(page)
  await page.goto('/spec-book')
  await field(page, 'Find a model /').fill('qqqqwx 77')
  await expect(page.getByText('Nothing like “qqqqwx 77”')).toBeVisible()
  await page.getByRole('link', { name: 'add it from the manual' }).click()
  await expect(page.getByRole('heading', { name: 'Add a model and its spec' })).toBeVisible()
  await expect(field(page, 'Model')).toHaveValue('qqqqwx 77')
  await page.goto('/spec-book/import')
  await field(page, 'File').setInputFiles({
    name: 'models.csv',
    mimeType: 'text/csv',
    buffer: PNG.sync.write(new PNG({ width: 2, height: 2 })),
  })
  await expect(page.getByRole('alert')).toContainText('PNG image')
  await page.goto('/shop')
  await page.getByLabel('A token for').fill('Parts counter')
  await page.getByRole('button', { name: 'Make a token' }).click()
  await expect(page.locator('code')).toContainText('wembric_')
  await page.getByRole('button', { name: 'Cancel Parts counter' }).click()
  await page.getByRole('alertdialog').getByRole('button', { name: 'Cancel it' }).click()
  await expect(page.getByRole('row', { name: /^Parts counter/ })).toContainText('ended')
})
