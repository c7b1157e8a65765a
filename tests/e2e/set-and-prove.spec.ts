import { expect, type Page, test } from '@playwright/test'
import { instruction, newJob, saved, signIn } from './bench'
import { BenchHand } from './hand'

/** A twin with one tight, one loose, one that the first blades leave unproved, and one right valve; its locks creep. */
const GAPS = { 'left-intake': 0.03, 'left-exhaust': 0.165, 'right-intake': 0.085, 'right-exhaust': 0.108 }

const verdicts = (page: Page) =>
  page
    .locator('.strip .cell')
    .evaluateAll(cells =>
      Object.fromEntries(cells.map(c => [c.getAttribute('data-valve'), c.getAttribute('data-verdict')])),
    )

// one follows its nut, one is drawn open against all that the demo’s locks have taught
for (const [set, creepMm] of [
  ['Set A, metric', -0.04],
  ['Set B, thou', 0.03],
] as const) {
  test(`a whole twin, tight, loose, unproved and right, with a lock that creeps: ${set}`, async ({ page }) => {
    test.setTimeout(240_000)
    await signIn(page)
    const hand = await BenchHand.finding(page, 'Duet 405', 0, GAPS, { set, creepMm })
    const asked = await hand.until(next => next.step === 'set')
    // what is engraved is what is asked for, in the unit of the set
    expect(
      asked
        .filter(a => a.startsWith('Try '))
        .every(a =>
          set.includes('thou')
            ? /^Try [\d.]+( \+ [\d.]+)* thou in the/.test(a)
            : /^Try 0\.\d+( \+ 0\.\d+)* in the/.test(a),
        ),
      asked.join('\n'),
    ).toBe(true)
    const rest = await hand.until(next => next.stage.kind === 'sign')
    // the creep was seen, and set out again
    expect(rest.some(a => /It moved|Loosen the .* locknut/.test(a))).toBe(true)
    expect(await verdicts(page)).toEqual({
      'left-intake': 'in',
      'left-exhaust': 'in',
      'right-intake': 'in',
      'right-exhaust': 'in',
    })
    for (const [valve, gap] of Object.entries(hand.hand.virtual.gapMm)) {
      const [least, most] = valve.endsWith('intake') ? [0.06, 0.1] : [0.08, 0.12]
      expect(gap, valve).toBeGreaterThanOrEqual(least - 0.005)
      expect(gap, valve).toBeLessThan(most + 0.015 + 0.005)
    }
    await hand.step()
    await saved(page)
    await page.getByRole('link', { name: 'Job sheet' }).click()
    const rounds = page.locator('article.sheet table').filter({ hasText: 'Before lock' })
    for (const name of ['Left intake 1', 'Left exhaust 1']) await expect(rounds).toContainText(name)
    // each round that was locked shows what it was torqued to
    const view = await hand.view()
    const locked = view.state.valves.flatMap(v => v.readings.filter(r => r.phase === 'torqued')).length
    expect(locked).toBeGreaterThan(2)
    expect(
      await rounds.locator('tbody tr').evaluateAll(rows => rows.filter(r => r.children[4]?.textContent).length),
    ).toBe(locked)
    await expect(page.locator('article.sheet')).toContainText(`Blades: ${set}`)
  })
}

test('a wrench out of its scale is not taken; one with a crow’s-foot says what to set it to, and the sheet keeps it', async ({
  page,
}) => {
  await signIn(page)
  const hand = await BenchHand.finding(page, 'Duet 405', 0, { 'left-intake': 0.03 }, { creepMm: 0 })
  await hand.until(next => next.step === 'set')
  await page.keyboard.press('t')
  await page.locator('[data-wrench="Long click"]').click()
  await expect(page.getByRole('alert')).toContainText('under the scale of Long click')
  await page.getByRole('button', { name: 'Crow’s-foot, 10 mm', exact: true }).click()
  await page.locator('[data-wrench="Bench beam"]').click()
  await saved(page)
  await hand.until(next => next.instruction.startsWith('Torque the nut'))
  // 11 N·m at the nut, 240 mm long, 38 mm of crow's-foot: 11 · 240 / 278 = 9.5 N·m, 84 lbf·in
  await expect(page.locator('.panel .why')).toContainText('Set Bench beam to 84 lbf·in')
  await expect(page.locator('.panel .why')).toContainText('was due for calibration')
  await hand.step()
  await saved(page)
  await page.goto(`/jobs/${hand.jobId}/sheet`)
  await expect(page.locator('article.sheet')).toContainText('set to 9.5 N·m on Bench beam with Crow’s-foot, 10 mm')
})

test('shims: old ones read, swapped where they suit, cam back, measured again, and off the shelf when signed', async ({
  page,
}) => {
  test.setTimeout(240_000)
  await signIn(page)
  const stock = async () =>
    Object.fromEntries(
      (await page.evaluate(async () => (await (await fetch('/api/shelf')).json()).shims)).map(
        (s: { sizeMm: number; count: number }) => [s.sizeMm, s.count],
      ),
    ) as Record<string, number>
  const before = await stock()
  const hand = await BenchHand.finding(
    page,
    'Span 850',
    200,
    { 'left-intake': 0.06, 'right-intake': 0.24 },
    { shimMm: { 'left-intake': 2.45, 'right-intake': 2.35 } },
  )
  await hand.until(next => next.instruction.startsWith('Read the front intake'))
  await page.keyboard.press('1')
  await page.getByLabel('Engraved, mm').fill('2.43')
  await page.getByRole('button', { name: 'Record' }).click()
  await expect(page.getByRole('alert')).toContainText('2.40 and 2.45')
  await page.getByLabel('Engraved, mm').fill('24.5')
  await page.getByRole('button', { name: 'Record' }).click()
  await expect(page.getByRole('alert')).toContainText('Was 2.45 mm meant')
  await page.keyboard.press('Escape')
  await hand.until(next => next.instruction.startsWith('Fit '))
  const list = page.getByRole('table')
  await expect(list).toContainText('out of the rear intake')
  await hand.until(next => next.instruction.startsWith('Put the cam back'))
  await hand.until(next => next.stage.kind === 'sign')
  await hand.step()
  await saved(page)
  await page.goto(`/jobs/${hand.jobId}/sheet`)
  await expect(page.locator('article.sheet')).toContainText(
    /Front intake\s*2.45 engraved, 2.45 measured\s*2.35 out of the rear intake/,
  )
  expect(await stock()).toEqual(before)
})

test('two printed figures: a lead settles which stands, with a reason; one outside both is refused, and the sheet says so', async ({
  page,
}) => {
  await signIn(page)
  const jobId = await newJob(page, 'Switch 470')
  await page.goto(`/jobs/${jobId}`)
  for (const key of ['1', '1']) {
    await expect(instruction(page)).toHaveText(/^Is (this|its)/)
    await page.keyboard.press(key)
    await saved(page)
  }
  await expect(instruction(page)).toHaveText('Which figure is right for the exhaust?')
  await page.keyboard.press('1')
  await page.getByRole('button', { name: /A figure between them/ }).click()
  await page.getByLabel('Figure, in mm').fill('0.19–0.3')
  await page.getByLabel('Why this one?').fill('Both letters were seen')
  await page.getByRole('button', { name: 'Use this figure' }).click()
  await expect(page.getByRole('alert')).toContainText('outside both printed figures, 0.17 to 0.25 mm')
  await page.getByRole('button', { name: /0.20–0.25 mm/ }).click()
  await page.getByRole('button', { name: 'Use this figure' }).click()
  await saved(page)
  await expect(instruction(page)).toHaveText('How cold is the engine?')
  await expect(page.locator('[data-valve=right-exhaust]').first()).toContainText('0.20–0.25')
  await page.goto(`/jobs/${jobId}/sheet`)
  await expect(page.locator('article.sheet')).toContainText(
    'Exhaust 0.20–0.25 mm (7.9–9.8 thou): Both letters were seen. Ines.',
  )
})

test('the slot’s hour is noted before loosening, and where it points after tells the turn; an estimate proves nothing', async ({
  page,
}) => {
  await signIn(page)
  const hand = await BenchHand.finding(page, 'Minnow 125', 0, { intake: 0.16 }, { creepMm: 0 })
  await hand.until(next => next.step === 'measure' && next.trial !== null)
  await page.keyboard.press('m')
  await page.getByRole('button', { name: /An estimate/ }).click()
  await page.getByLabel('Estimate, by eye or ear').fill('much')
  await page.getByRole('button', { name: 'Record' }).click()
  await expect(page.getByRole('alert')).toContainText('is not a length')
  await page.getByLabel('Estimate, by eye or ear').fill('8 thou')
  await page.getByRole('button', { name: 'Record' }).click()
  await saved(page)
  await expect(page.locator('.beside')).toContainText('Estimate 8 thou, by Ines: proves nothing.')
  await expect(page.locator('.strip [data-valve=intake]')).toHaveAttribute('data-verdict', 'not measured')
  await hand.until(next => next.instruction.startsWith('Loosen the'))
  await page.getByRole('button', { name: /Loose; noted/ }).click()
  await page.getByLabel('Where does the mark point?').fill('13:00')
  await page.getByRole('button', { name: 'Record' }).click()
  await expect(page.getByRole('alert')).toContainText('such as 2 or 2:30')
  await page.getByLabel('Where does the mark point?').fill('2')
  await page.getByRole('button', { name: 'Record' }).click()
  await saved(page)
  await expect(page.locator('svg.clock')).toHaveAttribute('data-slot', '60')
  const asked = Number(/(\d+)° clockwise/.exec(await instruction(page).innerText())![1])
  await page.keyboard.press('o')
  await page.getByLabel(/at$/).fill('3:10')
  await page.keyboard.press('Enter')
  // from 2 o’clock to ten past three on the dial is 35°; the slot looks the same half a turn on
  const turned = [35, 215].sort((a, b) => Math.abs(a - asked) - Math.abs(b - asked))[0]!
  await expect(instruction(page)).toContainText(`${turned}° clockwise`)
  // drawn by a finger to four o’clock: 60° on from where it was
  const box = (await page.locator('svg.clock').boundingBox())!
  const scale = Math.min(box.width / 500, box.height / 392)
  const center = { x: box.x + box.width / 2 + (190 - 190) * scale, y: box.y + box.height / 2 + (190 - 196) * scale }
  await page.mouse.move(center.x, center.y - 50 * scale)
  await page.mouse.down()
  await page.mouse.move(
    center.x + 80 * scale * Math.sin((Math.PI * 2) / 3),
    center.y - 80 * scale * Math.cos((Math.PI * 2) / 3),
    { steps: 4 },
  )
  await page.mouse.up()
  const drawn = [60, 240].sort((a, b) => Math.abs(a - asked) - Math.abs(b - asked))[0]!
  const shown = Number((await page.locator('output').innerText()).replace('°', '').replace('−', '-'))
  expect(Math.abs(shown - drawn)).toBeLessThan(6)
})

test('two trials that cannot both be right: either is taken back where it is named; another set and a stack by touch', async ({
  page,
}) => {
  await signIn(page)
  const hand = await BenchHand.finding(page, 'Minnow 125', 0)
  await hand.until(next => next.step === 'measure' && next.trial !== null)
  const blade = (mm: string) => page.locator(`[data-blade="${mm}"]`).click()
  await blade('0.15')
  await page.locator('[data-key="1"]').click()
  await saved(page)
  await blade('0.06')
  await page.locator('[data-key="4"]').click()
  await saved(page)
  await expect(page.locator('.panel .why')).toContainText('0.15 free and 0.06 no-go can’t both be right')
  await page.locator('.doubted').getByRole('button', { name: '0.15 free' }).click()
  await saved(page)
  await expect(page.locator('.strip [data-valve=intake]')).toHaveAttribute('data-verdict', 'tight')
  await page.getByRole('button', { name: 'Other set' }).click()
  await page.getByRole('button', { name: /^Set B, thou/ }).click()
  await saved(page)
  await expect(instruction(page)).toHaveText(/^Try [\d.]+ thou in the intake|^Try [\d. +]+ thou in the intake/)
  await page.getByRole('button', { name: /^Stack/ }).click()
  for (const mm of await page.locator('.blade.chosen').evaluateAll(all => all.map(b => b.getAttribute('data-blade')!)))
    if ((await page.locator('.blade.chosen').count()) > 1) await blade(mm)
  await blade('0.0381')
  await expect(instruction(page)).toHaveText(/^Try [\d.]+ \+ 1.5 thou in the intake|^Try 1.5 thou/)
})
