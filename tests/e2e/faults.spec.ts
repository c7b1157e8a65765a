import { type BrowserContext, expect, type Page, test } from '@playwright/test'
import { PNG } from 'pngjs'
import { databaseSettings, openPool } from '../../server/database/pool'
import { many, type Pool } from '../../server/database/query'
import { pick, random } from '../support/faults/random'
import { type Gaps, instruction, newJob, saved, signIn, workUntil } from './bench'

/** Once each in the tests; “npm run faults” goes round many times, each with other numbers drawn. */
const ROUNDS = Number(process.env.WEMBRIC_FAULT_ROUNDS ?? 1)
// the page must open without a server
test.use({ serviceWorkers: 'allow' })
let pool: Pool
test.beforeAll(() => {
  pool = openPool(databaseSettings(process.env, 'app'))
})
test.afterAll(() => pool.end())

const truth = (): Gaps => ({ intake: 0.1, exhaust: 0.105, degPerMm: 720 })
const CLOSED = 'This job is closed'

/** A job that is open on a page which can be opened again without a server. */
async function benchOf(context: BrowserContext, job: number): Promise<Page> {
  const page = await context.newPage()
  await page.goto(`/jobs/${job}`)
  await expect(instruction(page)).toBeVisible()
  return page
}
const ownJob = async (context: BrowserContext): Promise<{ job: number; page: Page }> => {
  const first = await context.newPage()
  await signIn(first)
  const job = await newJob(first, 'Minnow 125')
  await first.close()
  const page = await benchOf(context, job)
  await page.waitForFunction(() => Boolean(navigator.serviceWorker.controller))
  return { job, page }
}

/** All that was answered is in the log once, nothing waits for a place, and the sheet has its measurements. */
async function expectWhole(page: Page, job: number, measured = true): Promise<void> {
  await saved(page)
  await expect(page.getByText('was not taken')).toHaveCount(0)
  await expect(page.getByText('before or after the turn')).toHaveCount(0)
  const rows = await many<{ id: string; seq: number }>(
    pool,
    'SELECT id, seq FROM events WHERE job_id = ? ORDER BY seq',
    [job],
  )
  expect(new Set(rows.map(r => r.id)).size).toBe(rows.length)
  expect(rows.map(r => r.seq)).toEqual(rows.map((_, i) => i + 1))
  if (!measured) return
  const readings = await many<{ phase: string; verdict: string }>(
    pool,
    "SELECT phase, verdict FROM readings WHERE job_id = ? AND phase IN ('as found', 'proved') AND verdict <> 'unproved'",
    [job],
  )
  expect(readings, 'both valves as found and proved').toHaveLength(4)
  const sheet = await (await page.request.get(`/api/jobs/${job}/sheet`)).text()
  expect(sheet).not.toContain('not measured')
}
const finish = async (page: Page, job: number, gaps: Gaps): Promise<void> => {
  await workUntil(page, CLOSED, gaps)
  await expectWhole(page, job)
}
const uiSignIn = async (page: Page, name: string): Promise<void> => {
  await page.getByLabel('Name').fill(name)
  await page.getByLabel('Password').fill('quillbrook')
  await page.getByRole('button', { name: 'Sign in' }).click()
}

for (let round = 1; round <= ROUNDS; round++) {
  const draw = random(round)
  const few = (least: number, most: number) => least + Math.floor(draw() * (most - least + 1))

  test(`round ${round}: a tab closed offline and opened again, to the end, then online: the sheet has its measurements`, async ({
    context,
  }) => {
    const { job, page } = await ownJob(context)
    const gaps = truth()
    await workUntil(page, CLOSED, gaps, 'keys', few(2, 10))
    await saved(page)
    await context.setOffline(true)
    await workUntil(page, CLOSED, gaps, 'keys', few(9, 20))
    await page.close()
    const again = await benchOf(context, job)
    await workUntil(again, 'Sign and close', gaps)
    await expect(again.getByTestId('saved')).toContainText('to send')
    await context.setOffline(false)
    await finish(again, job, gaps)
  })

  test(`round ${round}: a tablet handed over with answers waiting: both persons’ answers count, in the order of the work`, async ({
    context,
  }) => {
    const { job, page } = await ownJob(context)
    const gaps = truth()
    await workUntil(page, CLOSED, gaps, 'keys', few(10, 13))
    await saved(page)
    await page.request.delete('/api/session')
    await workUntil(page, CLOSED, gaps, 'keys', few(2, 4))
    await expect(page.getByText('Your session has ended.')).toBeVisible()
    await page.getByRole('button', { name: 'Sign in' }).click()
    await uiSignIn(page, 'tam')
    await expect(instruction(page)).toBeVisible()
    await workUntil(page, CLOSED, gaps, 'keys', few(1, 3))
    await expect(page.getByTestId('saved')).toHaveText(/^Ines’s \d not sent$/)
    await page.goto('/')
    await page.getByRole('button', { name: /^Tam: / }).click()
    await page.getByRole('menuitem', { name: 'Sign out' }).click()
    await uiSignIn(page, 'ines')
    await page.waitForURL('**/')
    await page.goto(`/jobs/${job}`)
    await expect(instruction(page)).toBeVisible()
    await finish(page, job, gaps)
  })

  test(`round ${round}: two tabs of one browser on one job, turn about`, async ({ context }) => {
    const { job, page } = await ownJob(context)
    const other = await benchOf(context, job)
    const gaps = truth()
    for (let i = 0; i < few(3, 6); i++) {
      const tab = i % 2 ? other : page
      await workUntil(tab, CLOSED, gaps, 'keys', few(1, 5))
      await saved(tab)
      const next = await instruction(tab).innerText()
      await expect(instruction(i % 2 ? page : other)).toHaveText(next)
    }
    await finish(pick(draw, [page, other]), job, gaps)
  })

  test(`round ${round}: the browser’s data are cleared while answers wait: they go to the shop`, async ({
    context,
  }) => {
    const { job, page } = await ownJob(context)
    const gaps = truth()
    await workUntil(page, CLOSED, gaps, 'keys', few(3, 9))
    await saved(page)
    await context.setOffline(true)
    await workUntil(page, CLOSED, gaps, 'keys', few(2, 6))
    const cdp = await context.newCDPSession(page)
    const { origin } = new URL(page.url())
    await cdp.send('Storage.clearDataForOrigin', { origin, storageTypes: 'indexeddb' })
    await workUntil(page, CLOSED, gaps, 'keys', few(1, 3))
    await expect(page.getByTestId('saved')).toContainText('to send')
    await context.setOffline(false)
    await page.evaluate(() => window.dispatchEvent(new Event('online')))
    await finish(page, job, gaps)
  })

  test(`round ${round}: a store that is full: answers go straight to the shop, or do not count and the screen says so`, async ({
    context,
  }) => {
    await context.addInitScript(() => {
      const put = IDBObjectStore.prototype.put
      IDBObjectStore.prototype.put = function (...given: Parameters<typeof put>) {
        if ((window as { full?: boolean }).full && this.name === 'waiting')
          throw new DOMException('No room', 'QuotaExceededError')
        return put.apply(this, given)
      }
    })
    const { job, page } = await ownJob(context)
    const gaps = truth()
    await workUntil(page, CLOSED, gaps, 'keys', few(2, 8))
    await page.evaluate(() => Object.assign(window, { full: true }))
    await workUntil(page, CLOSED, gaps, 'keys', few(1, 3))
    await expect(page.getByTestId('unrecorded')).toContainText('go straight to the shop')
    await saved(page)
    await context.setOffline(true)
    const before = await instruction(page).innerText()
    await page.keyboard.press('1')
    await expect(page.getByTestId('unrecorded')).toContainText('was not saved')
    await expect(page.getByTestId('saved')).toHaveText('Not saved')
    await expect(instruction(page)).toHaveText(before)
    await context.setOffline(false)
    await page.evaluate(() => Object.assign(window, { full: false }))
    await finish(page, job, gaps)
  })

  test(`round ${round}: a store that neither opens nor fails: the job is there, answers go to the shop`, async ({
    context,
  }) => {
    const { job, page } = await ownJob(context)
    await page.addInitScript(() => {
      const never = { addEventListener: () => {}, removeEventListener: () => {} }
      IDBFactory.prototype.open = () => Object.assign(Object.create(IDBOpenDBRequest.prototype), never)
    })
    await page.reload()
    await expect(instruction(page)).toBeVisible()
    const gaps = truth()
    await workUntil(page, CLOSED, gaps, 'keys', few(2, 5))
    await expect(page.getByTestId('unrecorded')).toContainText('go straight to the shop')
    await saved(page)
    await finish(page, job, gaps)
  })

  test(`round ${round}: the line for news ends with an error of a proxy: it is opened again, and what was missed is there`, async ({
    context,
    browser,
  }) => {
    const { job, page } = await ownJob(context)
    let refusals = few(1, 2)
    await page.route('**/api/live', route =>
      refusals-- > 0 ? route.fulfill({ status: 502, body: 'Bad gateway' }) : route.continue(),
    )
    await page.reload()
    await expect(instruction(page)).toBeVisible()
    const there = await (await browser.newContext()).newPage()
    await signIn(there)
    await there.goto(`/jobs/${job}`)
    await expect(instruction(there)).toBeVisible()
    await workUntil(there, CLOSED, truth(), 'keys', few(1, 5))
    await saved(there)
    await expect(instruction(page)).toHaveText(await instruction(there).innerText())
    await expectWhole(page, job, false)
    await there.context().close()
  })

  test(`round ${round}: a photo taken offline waits on the device, survives the tab, and is sent once`, async ({
    context,
  }) => {
    const { job, page } = await ownJob(context)
    await workUntil(page, CLOSED, truth(), 'keys', few(1, 5))
    await saved(page)
    await context.setOffline(true)
    const openPhotos = async (tab: Page) => {
      await tab.keyboard.press('m')
      await tab.getByRole('button', { name: /^Photos/ }).click()
    }
    await openPhotos(page)
    const picture = new PNG({ width: 40 + few(0, 40), height: 40 })
    picture.data.fill(140)
    await page
      .locator('input[type=file]')
      .setInputFiles({ name: 'head.png', mimeType: 'image/png', buffer: PNG.sync.write(picture) })
    await expect(page.getByTestId('photo-waiting')).toContainText('not sent yet')
    await page.close()
    const again = await benchOf(context, job)
    await openPhotos(again)
    await expect(again.getByTestId('photo-waiting')).toBeVisible()
    await context.setOffline(false)
    await expect(again.getByRole('img', { name: /^Photo of/ })).toBeVisible()
    await expect(again.getByTestId('photo-waiting')).toHaveCount(0)
    expect(await many(pool, 'SELECT id FROM photos WHERE job_id = ?', [job])).toHaveLength(1)
  })
}
