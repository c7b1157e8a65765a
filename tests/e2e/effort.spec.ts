import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, type Page, test } from '@playwright/test'
// @ts-expect-error a plain script, shared with the test command
import { startServer } from '../../scripts/setup/server.mjs'
import { saved, signIn } from './bench'
import { beginQuick, countEffort, type Effort, effortOf, forgetEffort } from './effort'
import { BenchHand } from './hand'

/** What is done by hand may become less, never more: the figures stand in docs/effort.json. */
const FILE = join(process.cwd(), 'docs/effort.json')
const before = JSON.parse(readFileSync(FILE, 'utf8')) as Record<string, Effort>
const now: Record<string, Effort> = {}
test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

async function took(page: Page, what: string): Promise<void> {
  now[what] = await effortOf(page)
  const least = before[what]
  if (least)
    for (const of of ['taps', 'typed'] as const) expect.soft(now[what][of], what).toBeLessThanOrEqual(least[of])
}

/** A quick job from the Bay to its first blade, then to its signed sheet. */
async function wholeJob(page: Page, what: string, gapMm: Record<string, number>, engine: RegExp | null = null) {
  const id = await beginQuick(page, '.004 .006', engine)
  await saved(page)
  const hand = await BenchHand.at(page, id, 500, gapMm)
  await hand.until(next => next.step === 'measure')
  await took(page, `first blade, ${what}`)
  await forgetEffort(page)
  await hand.until(next => next.instruction.startsWith('Sign and close'))
  await hand.step()
  await took(page, `from the first blade to the signature, ${what}`)
}

const JOBS: [what: string, gapMm: Record<string, number>, engine: RegExp | null][] = [
  ['single with both valves in', {}, null],
  ['single with two set', { 'cylinder-1-intake': 0.05, 'cylinder-1-exhaust': 0.08 }, null],
  ['360° twin with two set', { 'cylinder-1-intake': 0.05, 'cylinder-2-exhaust': 0.08 }, /^360° twin$/],
]
for (const [what, gapMm, engine] of JOBS)
  test(what, async ({ page }) => {
    test.setTimeout(240_000)
    await signIn(page)
    await page.goto('/')
    await expect(page.locator('[data-job]').first()).toBeVisible()
    await countEffort(page)
    await wholeJob(page, what, gapMm, engine)
  })

test('empty shop to signed sheet', async ({ browser }) => {
  test.setTimeout(240_000)
  const data = mkdtempSync(join(tmpdir(), 'wembric-effort-'))
  const server = await startServer({ root: process.cwd(), data, args: ['--empty'] })
  const context = await browser.newContext({
    baseURL: server.env.WEMBRIC_TEST_URL,
    viewport: { width: 390, height: 844 },
  })
  const page = await context.newPage()
  try {
    await countEffort(page)
    await page.goto('/')
    for (const [label, value] of Object.entries({
      'Shop': 'Orsk',
      'Name': 'Ada',
      'Sign-in name': 'ada',
      'Password': 'longenough',
    })) {
      await page.getByLabel(label, { exact: true }).click()
      await page.keyboard.type(value)
    }
    await page.getByRole('button', { name: 'Make the shop' }).click()
    const id = await beginQuick(page, '.004 .006')
    await saved(page)
    const hand = await BenchHand.at(page, id, 500)
    await hand.until(next => next.instruction.startsWith('Sign and close'))
    await hand.step()
    await took(page, 'empty shop to signed sheet')
  } finally {
    await context.close()
    await server.stop()
    rmSync(data, { recursive: true, force: true })
  }
})

test.afterAll(() => {
  if (Object.keys(now).length) writeFileSync(FILE, `${JSON.stringify({ ...before, ...now }, null, 2)}\n`)
})
