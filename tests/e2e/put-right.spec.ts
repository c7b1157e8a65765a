import { expect, type Page, test } from '@playwright/test'
import { noViolations, signIn } from './bench'

const now = Date.now() % 1e6
/** A machine and its owner, made through the API, with the meter read once. */
const made = (page: Page, name: string, owner: string, meter: number) =>
  page.evaluate(
    async ({ name, owner, meter }) => {
      const post = async (path: string, body: unknown) =>
        (
          await fetch(path, {
            method: 'POST',
            body: JSON.stringify(body),
            headers: { 'content-type': 'application/json' },
          })
        ).json()
      const { rows } = await (await fetch('/api/models?q=Hedgerow%2018')).json()
      const machine = await post('/api/machines', {
        name,
        tag: `${name}-${Date.now() % 1e6}`,
        modelId: rows[0].id,
        meterUnit: 'h',
        customer: { name: owner },
      })
      await post(`/api/machines/${machine.id}/meter`, { on: new Date().toISOString().slice(0, 10), meter })
      return machine as { id: number; tag: string; customerId: number }
    },
    { name, owner, meter },
  )

async function putRight(page: Page, what: RegExp): Promise<void> {
  await page.getByRole('button', { name: 'Edit' }).click()
  await page.getByLabel('What', { exact: true }).click()
  await page.getByRole('option', { name: what }).click()
}

test('a machine on record twice becomes one, found by its tag however many there are; then it goes to another owner', async ({
  page,
}) => {
  await signIn(page)
  // the one that stays is far beyond the first fifty of a list by name
  const stays = await made(page, 'Zz orchard', `Z. First ${now}`, 30)
  const double = await made(page, 'Zz orchrad', `Z. Second ${now}`, 30)
  await page.goto(`/machines/${double.id}`)
  await putRight(page, /on record twice/)
  await page.getByRole('button', { name: 'Merge them' }).click()
  await expect(page.getByRole('alert').first()).toContainText('Choose the one that stays')
  // what was found before stands in the list until the search answers: a click may meet it as it changes
  const field = page.getByLabel('The one that stays')
  await expect(async () => {
    await field.fill(stays.tag)
    await page.getByRole('option', { name: stays.tag }).click({ timeout: 5_000 })
    await expect(field).toHaveValue(`Zz orchard, ${stays.tag}`, { timeout: 2_000 })
  }).toPass({ timeout: 40_000 })
  await page.getByRole('button', { name: 'Merge them' }).click()
  await page.waitForURL(`**/machines/${stays.id}`)
  await expect(page.locator('[data-record="merged"]')).toContainText(double.tag)
  await noViolations(page)
  await putRight(page, /Another owner/)
  await page.getByLabel('Owner', { exact: true }).click()
  await page.getByRole('option', { name: `Z. Second ${now}` }).click()
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(page.locator('[data-record="owner"]')).toContainText(/Z\. First.*Z\. Second/)
})

test('an owner on record twice becomes one, and their machines go over', async ({ page }) => {
  await signIn(page)
  const stays = await made(page, 'Yy hill', `Y. Ashby ${now}`, 10)
  const twice = await made(page, 'Yy dale', `Y. Ashbey ${now}`, 10)
  await page.goto(`/customers/${twice.customerId}`)
  await page.getByLabel(/On record twice/).click()
  await page.getByRole('option', { name: `Y. Ashby ${now}` }).click()
  await page.getByRole('button', { name: 'Merge', exact: true }).click()
  const asks = page.getByRole('alertdialog').or(page.locator('.p-confirmpopup'))
  await expect(asks.first()).toContainText('It can’t be undone')
  await asks.first().getByRole('button', { name: 'Merge' }).click()
  await page.waitForURL(`**/customers/${stays.customerId}`)
  for (const name of ['Yy hill', 'Yy dale']) await expect(page.getByRole('link', { name })).toBeVisible()
})
