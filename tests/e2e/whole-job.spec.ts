import { expect, test } from '@playwright/test'
import { databaseSettings, openPool } from '../../server/database/pool'
import { many } from '../../server/database/query'
import { instruction, newJob, saved, signIn, workUntil } from './bench'

const pool = openPool(databaseSettings(process.env, 'app'))
test.afterAll(() => pool.end())

const SIZES = [
  { name: 'a bench screen by keys alone', how: 'keys', use: { viewport: { width: 1280, height: 800 } } },
  {
    name: 'a phone by taps alone',
    how: 'taps',
    use: { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true },
  },
] as const

for (const { name, how, use } of SIZES) {
  test(`a whole job on ${name}: the right rows and the right sheet`, async ({ browser }) => {
    const page = await (await browser.newContext(use)).newPage()
    await signIn(page)
    const job = await newJob(page, 'Minnow 125')
    await page.goto(`/jobs/${job}`)
    const gaps = { intake: 0.1, exhaust: 0.105, degPerMm: 720 }
    const asked = await workUntil(page, 'This job is closed', gaps, how)
    expect(asked.some(a => a.startsWith('Loosen the exhaust'))).toBe(true)
    await saved(page)

    const rows = await many<{ valve_id: string; phase: string; lo: number; hi: number; verdict: string }>(
      pool,
      "SELECT valve_id, phase, clearance_lo_mm AS lo, clearance_hi_mm AS hi, verdict FROM readings WHERE job_id = ? AND phase IN ('as found', 'proved') ORDER BY valve_id, phase",
      [job],
    )
    expect(rows.map(r => [r.valve_id, r.phase, r.verdict])).toEqual([
      ['exhaust', 'as found', 'tight'],
      ['exhaust', 'proved', 'in'],
      ['intake', 'as found', 'in'],
      ['intake', 'proved', 'in'],
    ])
    const exhaust = rows.find(r => r.valve_id === 'exhaust' && r.phase === 'proved')!
    expect(gaps.exhaust).toBeGreaterThanOrEqual(exhaust.lo)
    expect(gaps.exhaust).toBeLessThan(exhaust.hi)

    await page.getByRole('link', { name: 'Job sheet' }).click()
    const sheet = page.locator('article.sheet')
    await expect(sheet).toContainText('signed by Ines')
    expect(
      await page.evaluate(() => document.documentElement.scrollWidth),
      'the sheet fits the screen',
    ).toBeLessThanOrEqual(use.viewport.width)
    await expect(sheet.locator('.valve.exhaust')).toContainText('Tight')
    await expect(sheet.locator('.valve.exhaust')).toContainText(/0\.14.0\.155 mm\s*In, by drag/)
    await expect(sheet).toContainText(/Exhaust 1\d+° back/)
    await expect(sheet).toContainText('Zephrin workshop manual M125')
    const download = page.waitForEvent('download')
    await page.getByRole('button', { name: 'JSON' }).click()
    expect((await download).suggestedFilename()).toMatch(/^job-sheet-\d+\.json$/)
  })
}

test('the mower without a mark: rod to top, feel, past top because of its decompressor', async ({ page }) => {
  await signIn(page, 'tam')
  await page.goto(`/jobs/${await newJob(page, 'Hedgerow 18')}`)
  const gaps = { intake: 0.12, exhaust: 0.17, degPerMm: 360 / 2.3 }
  await workUntil(page, 'Turn until the rod', gaps)
  await page.keyboard.press('1')
  await expect(instruction(page)).toHaveText('Wiggle both rockers')
  await page.getByRole('button', { name: /Only intake slack/ }).click()
  await expect(instruction(page)).toContainText('6 mm past top')
  await page.keyboard.press('1')
  await expect(instruction(page)).toHaveText('Wiggle both rockers')
  await page.keyboard.press('1')
  await expect(instruction(page)).toHaveText(/^Try .* in the intake$/)
})

test('the sheet prints on one page of A4 and of Letter', async ({ page }) => {
  await signIn(page)
  // a single, a twin, and a four with eight valves: of each a job whose worst valve has its lift curve
  for (const tag of ['M-0117', 'M-0108', 'M-0114']) {
    const [machine] = await (await page.request.get(`/api/machines?q=${tag}`)).json()
    const { visits } = await (await page.request.get(`/api/machines/${machine.id}`)).json()
    await page.goto(`/jobs/${visits.findLast((v: { jobId: number | null }) => v.jobId).jobId}/sheet`)
    await expect(page.locator('.sheet-lift'), tag).toBeVisible()
    for (const format of ['A4', 'Letter'] as const) {
      const pdf = (await page.pdf({ format, preferCSSPageSize: false })).toString('latin1')
      expect(pdf.match(/\/Type\s*\/Page\b/g), `${tag} ${format}`).toHaveLength(1)
    }
  }
})
