import { type BrowserContext, expect, type Page, test } from '@playwright/test'
import { instruction, noViolations, saved, signIn, workUntil } from './bench'
import { beginQuick, countEffort, effortOf } from './effort'
import { BenchHand } from './hand'

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })
const gaps = () => ({ intake: 0.06, exhaust: 0.105, degPerMm: 720 })

test('a quick job is not kept: first blade within ten taps and twenty characters, measured, and found in the Bay', async ({
  page,
}) => {
  await signIn(page)
  await page.goto('/')
  await expect(page.locator('[data-job]').first()).toBeVisible()
  await countEffort(page)
  const id = await beginQuick(page, '.004 .006')
  await expect(instruction(page)).toHaveText('Uncheck what isn’t done yet')
  await noViolations(page)
  const hand = await BenchHand.at(page, id, 500)
  await saved(page)
  await hand.until(next => next.step === 'measure')
  const { taps, typed } = await effortOf(page)
  expect(taps).toBeLessThanOrEqual(10)
  expect(typed).toBeLessThanOrEqual(20)
  await page.goto('/')
  await expect(page.locator(`[data-job="${id}"]`)).toContainText('Quick job: keep it')
})

test.describe('without a server', () => {
  test.use({ serviceWorkers: 'allow' })
  test('a quick job begins and goes on offline, is sent when the network is back, and is kept with nothing typed twice', async ({
    page,
    context,
  }) => {
    test.setTimeout(180_000)
    await signIn(page)
    await page.goto('/')
    await expect(page.locator('[data-job]').first()).toBeVisible()
    await page.evaluate(() => navigator.serviceWorker.ready)
    // the shelf is on the device from the first look at the form on
    await page.goto('/quick')
    await expect(page.getByText('Set A, metric')).toBeVisible()
    await page.goto('/')
    await context.setOffline(true)
    // whole figures may be hundredths or thou: nothing begins before one of them was meant
    await page.getByRole('link', { name: /^Quick job/ }).click()
    await page.locator('#said').fill('10 15')
    await page.getByRole('button', { name: 'Start' }).click()
    await expect(page.getByRole('alert')).toContainText('two ways')
    await page.locator('.reading').first().click()
    await page.getByRole('button', { name: 'Start' }).click()
    await page.waitForURL(/\/jobs\/-\d+$/)
    await expect(page.getByTestId('saved')).toContainText('Offline')
    await page.locator('[data-line="safe"]').tap()
    await expect(page.locator('[data-line="safe"]')).toHaveAttribute('aria-pressed', 'false')
    await workUntil(page, 'Make sure it', gaps(), 'taps')
    await workUntil(page, 'Try', gaps(), 'taps')
    await expect(page.getByTestId('saved')).toContainText('to send')
    await page.reload()
    await expect(instruction(page)).toContainText('Try')
    await context.setOffline(false)
    await page.evaluate(() => window.dispatchEvent(new Event('online')))
    await saved(page)
    await page.goto(page.url().replace(/$/, '/keep'))
    const fill = async (fields: Record<string, string>) => {
      for (const [label, value] of Object.entries(fields)) await page.getByLabel(label, { exact: true }).fill(value)
    }
    await page.getByRole('button', { name: 'Keep it' }).click()
    await expect(page.getByText('Give the maker.')).toBeVisible()
    await noViolations(page)
    await fill({
      'Name': 'Red tiller',
      'New owner’s name': 'N. Orsk',
      'Engine maker': 'Brindle',
      'Engine model': `T ${Date.now() % 1e6}`,
    })
    await page.getByRole('button', { name: 'Keep it' }).click()
    await page.waitForURL(/\/machines\/\d+$/)
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Red tiller')
  })

  /** A job that begins offline on a machine of the shop, found with a slip. @returns its machine's id */
  async function begunOffline(page: Page, context: BrowserContext): Promise<number> {
    await signIn(page)
    const tag = `OFF-${Date.now() % 1e6}`
    const machineId = await page.evaluate(async tag => {
      const { rows } = await (await fetch('/api/models?q=minnow 125')).json()
      const body = { name: 'Lilac scooter', tag, modelId: rows[0].id, meterUnit: 'km', customer: { name: 'P. Vane' } }
      const headers = { 'content-type': 'application/json' }
      const made = await fetch('/api/machines', { method: 'POST', headers, body: JSON.stringify(body) })
      return (await made.json()).id as number
    }, tag)
    const fetched = page.waitForResponse(/device-shop/)
    await page.goto('/')
    await page.evaluate(() => navigator.serviceWorker.ready)
    await fetched
    await page.goto('/jobs/new')
    await expect(page.locator('[data-machine]').first()).toBeVisible()
    await context.setOffline(true)
    await page.getByLabel('Scan a tag, or type machine, owner or model').fill('lilc scoter')
    await expect(page.getByRole('status').filter({ hasText: 'this device' })).toBeVisible()
    await expect(page.locator('[data-machine]').first()).toContainText('Lilac scooter')
    await page.keyboard.press('Enter')
    await page.getByLabel(/Meter/).fill('12')
    await page.getByRole('button', { name: 'Open the job' }).click()
    await page.waitForURL(/\/jobs\/-\d+$/)
    await expect(instruction(page)).toHaveText('Is this the Lilac scooter?')
    return machineId
  }
  const online = async (page: Page, context: BrowserContext) => {
    await context.setOffline(false)
    await page.evaluate(() => window.dispatchEvent(new Event('online')))
  }

  test('a job on a machine of the shop begins offline, found with a slip, and reaches the shop later', async ({
    page,
    context,
  }) => {
    test.setTimeout(180_000)
    await begunOffline(page, context)
    await workUntil(page, 'Make sure it', gaps(), 'taps')
    await online(page, context)
    await saved(page)
    const id = Number(/-\d+$/.exec(page.url())![0])
    await page.goto('/')
    await expect(page.locator(`[data-job="${id}"]`)).toContainText('Lilac scooter')
  })

  test('another opened a job on the machine meanwhile: what was answered offline goes into that one', async ({
    page,
    context,
    browser,
  }) => {
    test.setTimeout(180_000)
    const machineId = await begunOffline(page, context)
    const asked = await workUntil(page, 'Make sure it', gaps(), 'taps')
    const next = await instruction(page).innerText()
    const office = await (await browser.newContext()).newPage()
    await signIn(office, 'tam')
    const id = await office.evaluate(async machineId => {
      const [set] = await (await fetch('/api/blade-sets')).json()
      const body = { machineId, bladeSetId: set.id, meter: null, complaint: 'due' }
      const headers = { 'content-type': 'application/json' }
      return (await (await fetch('/api/jobs', { method: 'POST', headers, body: JSON.stringify(body) })).json()).id
    }, machineId)
    await office.context().close()

    await online(page, context)
    await page.getByTestId('not-opened').getByRole('button', { name: 'What can be done' }).tap()
    await expect(page.getByRole('heading', { name: 'The shop did not open this job' })).toBeVisible()
    await noViolations(page)
    await page.getByRole('button', { name: /^Move my \d+ answers to the job that is open/ }).tap()
    await page.waitForURL(`**/jobs/${id}`)
    await expect(instruction(page)).toHaveText(next)
    await saved(page)
    const { events } = await page.evaluate(async id => (await fetch(`/api/jobs/${id}?after=0`)).json(), id)
    expect(events.length).toBe(asked.length + 2)
    expect(JSON.stringify(events)).toContain('Meter 12 km')
    await page.goto('/')
    await expect(page.locator(`[data-job="${id}"]`)).toBeVisible()
    await expect(page.getByText('Saved on this device, not sent yet')).toHaveCount(0)
  })
})

test('the card says what is so: taken off, a line is asked; figures that cannot be are told at once', async ({
  page,
}) => {
  await signIn(page)
  await page.goto('/quick')
  await page.locator('#said').fill('1.0 ten')
  await page.getByRole('button', { name: 'Start' }).click()
  await expect(page.getByRole('alert')).toContainText('can’t be read')
  await page.locator('#said').fill('0.15 0.10')
  await expect(page.getByRole('status').filter({ hasText: 'right order' })).toBeVisible()
  await page.locator('#said').fill('0.10 0.15')
  await page.getByRole('button', { name: 'Start' }).click()
  await page.locator('[data-line="cold"]').tap()
  await page.locator('[data-line="off Rocker cover"]').tap()
  await page.locator('[data-line="off Rocker cover"]').tap()
  await expect(page.locator('[data-line="cold"]')).toHaveAttribute('aria-pressed', 'false')
  await page.waitForFunction(() => document.querySelector('[data-key="1"]')?.getAttribute('aria-disabled') === 'false')
  await page.locator('[data-key="1"]').tap()
  await expect(instruction(page)).toHaveText('How cold is the engine?')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(instruction(page)).toHaveText('Uncheck what isn’t done yet')
})
