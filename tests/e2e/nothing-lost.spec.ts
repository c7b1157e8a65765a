import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, type Page, test } from '@playwright/test'
// @ts-expect-error a plain script, shared with the test command
import { startServer } from '../../scripts/setup/server.mjs'
import { databaseSettings, openPool } from '../../server/database/pool'
import { many } from '../../server/database/query'
import { instruction, newJob, saved, signIn, workUntil } from './bench'

// the page must open without a server
test.use({ serviceWorkers: 'allow' })

const gaps = () => ({ intake: 0.1, exhaust: 0.145, degPerMm: 720 })
/** How many answers lie in the browser's own database. */
const written = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>(done => {
        const opening = indexedDB.open('wembric')
        opening.onsuccess = () => {
          const count = opening.result.transaction('waiting').objectStore('waiting').count()
          count.onsuccess = () => {
            opening.result.close()
            done(count.result)
          }
        }
      }),
  )
/** Each answer once, in the device's order. */
async function expectOnce(env: Record<string, string>, job: number, least: number): Promise<void> {
  const pool = openPool(databaseSettings(env as unknown as NodeJS.ProcessEnv, 'app'))
  const rows = await many<{ id: string; seq: number; device_seq: number }>(
    pool,
    'SELECT id, seq, device_seq FROM events WHERE job_id = ? ORDER BY seq',
    [job],
  )
  await pool.end()
  expect(rows.length).toBeGreaterThanOrEqual(least)
  expect(new Set(rows.map(r => r.id)).size).toBe(rows.length)
  expect(rows.map(r => r.seq)).toEqual(rows.map((_, i) => i + 1))
  expect(rows.map(r => r.device_seq)).toEqual([...rows.map(r => r.device_seq)].sort((a, b) => a - b))
}

test('the server is killed in mid-job, the page is reloaded meanwhile: no answer is lost or doubled', async ({
  browser,
}) => {
  test.setTimeout(150_000)
  const data = mkdtempSync(join(tmpdir(), 'wembric-kill-'))
  const root = process.cwd()
  const template = process.env.WEMBRIC_TEST_TEMPLATE
  if (template) cpSync(template, data, { recursive: true })
  let server = await startServer({ root, data })
  const context = await browser.newContext({ baseURL: server.env.WEMBRIC_TEST_URL })
  const page = await context.newPage()
  try {
    await signIn(page)
    const job = await newJob(page, 'Minnow 125')
    await page.goto(`/jobs/${job}`)
    const given = gaps()
    const online = await workUntil(page, 'Remove the spark plug', given)
    await saved(page)
    await page.waitForFunction(() => Boolean(navigator.serviceWorker.controller))

    server.child.kill('SIGKILL')
    const offline = await workUntil(page, 'Wiggle both rockers', given)
    await expect(page.getByTestId('saved')).toContainText('to send')
    await expect
      .poll(() => written(page), { message: 'each answer is written down on this device' })
      .toBe(offline.length)
    await page.reload()
    await expect(instruction(page)).toHaveText('Wiggle both rockers')
    offline.push(...(await workUntil(page, 'Try', given)))
    await expect(page.getByTestId('saved')).toContainText(`${offline.length} to send`)

    server = await startServer({ root, data, port: server.port })
    await saved(page)
    await expectOnce(server.env, job, online.length + offline.length)

    const other = await (await browser.newContext({ baseURL: server.env.WEMBRIC_TEST_URL })).newPage()
    await signIn(other)
    await other.goto(`/jobs/${job}`)
    await expect(instruction(other)).toContainText('Try')
    const asked = await instruction(page).innerText()
    await other.keyboard.press('1')
    await expect(instruction(page), 'the first browser follows').not.toHaveText(asked)
  } finally {
    await context.close()
    await server.stop()
    rmSync(data, { recursive: true, force: true })
  }
})

test('an expired session in mid-job keeps the answer and sends it after signing in again', async ({
  page,
  context,
}) => {
  await signIn(page)
  const job = await newJob(page, 'Minnow 125')
  await page.goto(`/jobs/${job}`)
  await workUntil(page, 'How cold', gaps())
  await saved(page)
  await context.clearCookies()
  await page.keyboard.press('2')
  await expect(page.getByRole('alert')).toContainText('session has ended')
  await expect(instruction(page)).toContainText('can’t start')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await page.getByLabel('Name').fill('ines')
  await page.getByLabel('Password').fill('quillbrook')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(instruction(page)).toContainText('can’t start')
  await saved(page)
  await expectOnce(process.env as Record<string, string>, job, 3)
})

test('while the database is away a page that is loaded goes on with its job, and nobody signs out unheard', async ({
  page,
}) => {
  await signIn(page)
  const job = await newJob(page, 'Minnow 125')
  await page.goto(`/jobs/${job}`)
  await workUntil(page, 'How cold', gaps())
  await saved(page)
  const away = { type: 'about:blank', title: 'away', status: 503, code: 'no-database' }
  await page
    .context()
    .route('**/api/**', route =>
      route.fulfill({ status: 503, contentType: 'application/problem+json', body: JSON.stringify(away) }),
    )
  await page.reload()
  await expect(instruction(page)).toContainText('How cold')
  await page.keyboard.press('2')
  await expect(instruction(page)).toContainText('can’t start')
  await expect(page.getByTestId('saved')).toContainText('Saved on this device, 1 to send')
  await page.goto('/machines')
  await page.getByRole('button', { name: 'Ines' }).click()
  await page.getByRole('menuitem', { name: 'Sign out' }).click()
  await page.getByRole('button', { name: 'Sign out anyway' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'You are still signed in' })).toBeVisible()
  await page.context().unroute('**/api/**')
  await page.goto(`/jobs/${job}`)
  await saved(page)
  await expectOnce(process.env as Record<string, string>, job, 3)
})

test('an answer to a job that was closed elsewhere is refused, stays visible, and can be discarded', async ({
  page,
  browser,
}) => {
  await signIn(page)
  const job = await newJob(page, 'Minnow 125')
  await page.goto(`/jobs/${job}`)
  await workUntil(page, 'Is this the right spec', gaps())
  await saved(page)
  await page.context().setOffline(true)
  const lead = await (await browser.newContext()).newPage()
  await signIn(lead)
  await lead.goto(`/jobs/${job}`)
  await expect(instruction(lead)).toBeVisible()
  await lead.keyboard.press('m')
  await lead.getByRole('button', { name: 'Abandon the job' }).click()
  await lead.getByLabel('Why abandon').fill('Owner came')
  await lead.getByRole('button', { name: 'Record' }).click()
  await expect(instruction(lead)).toHaveText('This job was abandoned')
  await saved(lead)
  await page.keyboard.press('1')
  await expect(page.getByTestId('saved')).toContainText('1 to send')
  await page.context().setOffline(false)
  await expect(page.getByRole('alert')).toContainText('was not taken')
  await page.getByRole('button', { name: 'Discard it' }).click()
  await expect(page.getByRole('alert')).toHaveCount(0)
})

test('the sheet says which answers are still on their way, and takes them in as they come', async ({ page }) => {
  await signIn(page)
  const job = await newJob(page, 'Minnow 125')
  await page.goto(`/jobs/${job}`)
  await expect(instruction(page)).toBeVisible()
  await page.route('**/api/jobs/*/events', route =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  )
  const asked = await workUntil(page, 'Remove the spark plug', gaps())
  await expect.poll(() => written(page), { message: 'each answer is written down on this device' }).toBe(asked.length)
  await page.goto(`/jobs/${job}/sheet`)
  await expect(page.locator('p[role=status]')).toContainText(`${asked.length} answers are still on the way`)
  await expect(page.locator('article.sheet')).not.toContainText('parked 12 h')
  await page.unroute('**/api/jobs/*/events')
  await expect(page.locator('p[role=status]')).toHaveCount(0)
  await expect(page.locator('article.sheet')).toContainText('parked')
})
