import { expect, test } from '@playwright/test'
import type { Engine } from '../../core/engine'
import { databaseSettings, openPool } from '../../server/database/pool'
import { many } from '../../server/database/query'
import { instruction, saved, signIn } from './bench'
import { BenchHand } from './hand'

const pool = openPool(databaseSettings(process.env, 'app'))
test.afterAll(() => pool.end().catch(() => {}))

test('a side-by-side by its maker’s own stops, from the Bay to the sheet', async ({ page }) => {
  test.setTimeout(240_000)
  await signIn(page)
  await page.goto('/')
  await page
    .getByRole('link', { name: /New job/ })
    .or(page.getByRole('button', { name: /New job/ }))
    .first()
    .click()
  // the list shows the first fifty: a tag is typed, or scanned
  await page.getByLabel('Scan a tag, or type machine, owner or model').fill('M-0113')
  await page.locator('[data-machine="M-0113"]').click()
  await page.getByLabel('Meter, km').fill('2600')
  await page.getByRole('button', { name: 'Open the job' }).click()
  await expect(instruction(page)).toHaveText(/^Is this the Span 850/)
  const jobId = Number(/jobs\/(-?\d+)/.exec(page.url())![1])
  const hand = await BenchHand.at(page, jobId, 120, { 'right-exhaust': 0.29 })
  const asked = await hand.until(next => next.stage.kind === 'sign')
  for (const said of [/P lines up/, /Q lines up/, /Loosen the rear exhaust locknut/, /Turn it over two full turns/])
    expect(
      asked.some(a => said.test(a)),
      String(said),
    ).toBe(true)
  // every stop was gone round again to prove
  const turned = asked.findIndex(a => /two full turns/.test(a))
  for (const letter of ['P', 'Q'])
    expect(
      asked.slice(turned).some(a => a.includes(`${letter} lines up`) || a.includes(`back to ${letter}`)),
      letter,
    ).toBe(true)
  await hand.step()
  await saved(page)

  const rows = await many<{ valve: string; verdict: string }>(
    pool,
    "SELECT valve_id AS valve, verdict FROM readings WHERE job_id = ? AND phase = 'proved' ORDER BY valve_id",
    [jobId],
  )
  expect(rows).toEqual(
    ['left-exhaust', 'left-intake', 'right-exhaust', 'right-intake'].map(valve => ({ valve, verdict: 'in' })),
  )
  await page.getByRole('link', { name: 'Job sheet' }).click()
  const sheet = page.locator('article.sheet')
  for (const name of ['Front intake', 'Front exhaust', 'Rear intake', 'Rear exhaust'])
    await expect(sheet.locator('.map .valve').filter({ hasText: name })).toContainText('In, by')
  await expect(sheet.locator('table').filter({ hasText: 'Did not go' })).toContainText('Q')
  for (const format of ['A4', 'Letter'] as const) {
    const pdf = (await page.pdf({ format, preferCSSPageSize: false })).toString('latin1')
    expect(pdf.match(/\/Type\s*\/Page\b/g), format).toHaveLength(1)
  }
})

test('a valve of the other stop is not measured here, but for a stated reason', async ({ page }) => {
  await signIn(page)
  const hand = await BenchHand.finding(page, 'Duet 405', 0)
  await hand.until(next => next.step === 'measure')
  const served = (await hand.view()).position.here[0]!.stop.valves.map(v => v.valveId)
  const other = hand.engine.valves.find(v => !served.includes(v.id))!
  await page.locator(`.strip [data-valve="${other.id}"]`).click()
  await expect(instruction(page)).toHaveText(`The ${other.name.toLowerCase()} isn’t measured here`)
  await page.getByRole('button', { name: /Leave it/ }).click()
  await expect(instruction(page)).toHaveText(/^Try /)
  await page.locator(`.strip [data-valve="${other.id}"]`).click()
  await page.getByRole('button', { name: /Measure it here/ }).click()
  await page.getByLabel('Why? The sheet').fill('Lobe seen by eye')
  await page.getByRole('button', { name: 'Record' }).click()
  await expect(instruction(page)).toHaveText(new RegExp(`in the ${other.name.toLowerCase()}$`))
})

test('another way of finding stops, the reasons, and one taken out to see', async ({ page }) => {
  await signIn(page)
  await BenchHand.finding(page, 'Duet 405', 0)
  await expect(instruction(page)).toHaveText(/^Turn until T/)
  await page.keyboard.press('m')
  await page.getByRole('button', { name: 'Find the stops by another method' }).click()
  await expect(page.locator('[data-school=rod]')).toContainText('steel')
  await page.locator('[data-school=partner]').click()
  await expect(instruction(page)).toHaveText(/^Turn until the (left|right) (intake|exhaust) is fully down$/)
  await page.keyboard.press('1')
  await saved(page)
  await expect(instruction(page)).not.toHaveText(/^Turn another/)
  await page.keyboard.press('w')
  const wheel = page.locator('svg.wheel')
  await page.getByRole('button', { name: 'See without it' }).first().click()
  await expect(wheel).toHaveAttribute('aria-label', /anywhere/)
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(wheel).not.toHaveAttribute('aria-label', /anywhere/)
  await page.getByRole('button', { name: 'Undo' }).first().click()
  await page.getByRole('button', { name: /Recorded wrongly/ }).click()
  await expect(wheel).toHaveAttribute('aria-label', /anywhere/)
})

test('told unasked: turned back a bit, and a turn that is none is refused with what to do', async ({ page }) => {
  await signIn(page)
  const hand = await BenchHand.finding(page, 'Switch 470', 90)
  await hand.step()
  await saved(page)
  await page.keyboard.press('e')
  await page.getByLabel('By how many degrees').fill('a bit')
  await page.getByRole('button', { name: 'Forward' }).click()
  await expect(page.getByRole('alert')).toContainText('like 90')
  await page.getByLabel('By how many degrees').fill('5000')
  await page.getByRole('button', { name: 'Forward' }).click()
  await expect(page.getByRole('alert')).toContainText('1440')
  await page.getByLabel('By how many degrees').fill('20')
  await page.getByRole('button', { name: 'Back a bit' }).click()
  await expect(instruction(page)).toHaveText(/^Turn until T L lines up/)
  await expect(page.locator('.panel .why')).toContainText(
    'After turning backward, the chain and the decompressor give false readings',
  )
})

test('the shop’s favourite way comes first, and new jobs begin with it', async ({ page }) => {
  await signIn(page)
  const prefer = async (name: string | RegExp) => {
    await page.goto('/shop')
    await page.getByRole('combobox', { name: 'Preferred method' }).click()
    await page.getByRole('option', { name }).click()
    await expect(page.getByText('Saved.')).toBeVisible()
  }
  await prefer('Watching the intake')
  try {
    await BenchHand.finding(page, 'Minnow 125', 90)
    await expect(instruction(page)).toHaveText(/^Watch the intake open and close/)
  } finally {
    // what comes after it finds the shop as it was
    await prefer(/None: marks/)
  }
})

test('a twin is added by the form; what cannot be is said at its field, and nothing typed is lost', async ({
  page,
}) => {
  await signIn(page)
  await page.goto('/spec-book/new')
  const fill = async (fields: Record<string, string>) => {
    for (const [label, value] of Object.entries(fields)) await page.getByLabel(label, { exact: true }).fill(value)
  }
  const field = (label: string) => page.locator('.field').filter({ has: page.getByLabel(label, { exact: true }) })
  for (const part of ['Engine and decompressor', 'Marks and turning', 'Cam timing'])
    await page.getByRole('button', { name: new RegExp(`^${part}`) }).click()
  await page.getByRole('combobox', { name: 'Firing interval' }).click()
  await page.getByRole('option', { name: '180° twin' }).click()
  await expect(page.getByLabel('Cylinders and firing angles')).toHaveValue('Left 0, Right 180')
  await fill({
    'Maker': 'Testor',
    'Model': 'Pair',
    'Source': 'Manual, p. 9',
    'Source’s date': '2024-02-28',
    'Intake': '0.08–0.12',
    'Exhaust': '0.10–0.14',
    'Stroke': '0',
    'Seen from': 'the left',
    'Turned by': 'the rotor bolt',
    'Marks, letter and degrees': 'T L 0, T R 180',
  })
  await page.getByLabel(/The maker’s own stops/).fill('90 T L: left intake, left exhaust')
  await page.getByRole('button', { name: 'Add it' }).click()
  await expect(field('Stroke')).toContainText('10 mm or more')
  await expect(field('Where they show')).toContainText('no pointer')
  await expect(page.locator('.field').filter({ hasText: 'own stops' })).toContainText('90° from there')
  await fill({
    'Stroke': '58',
    'Where they show': 'the rotor window',
    'At lift, mm': '1',
    'Intake opens, ° before TDC': '5',
    'Intake closes, ° after BDC': '35',
    'Exhaust opens, ° before BDC': '35',
    'Exhaust closes, ° after TDC': '5',
  })
  await page
    .getByLabel(/The maker’s own stops/)
    .fill('0 T L: left intake, left exhaust\n180 T R: right intake, right exhaust')
  await page.getByRole('button', { name: 'Add it' }).click()
  await expect(page.getByRole('heading', { name: 'Testor Pair' })).toBeVisible()
  await expect(page.locator('.about')).toContainText('180° twin')
})

test('a saved model comes back from its file; one that cannot be is refused field by field', async ({ page }) => {
  await signIn(page)
  await page.goto('/spec-book')
  await page.getByLabel('Find a model').fill('span 850')
  await page.getByRole('link', { name: 'Karnok Span 850' }).click()
  await expect(page.getByRole('heading', { name: 'Karnok Span 850' })).toBeVisible()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as' }).click()
  await page.getByRole('menuitem', { name: /^JSON/ }).click()
  const chunks: Buffer[] = []
  for await (const chunk of await (await download).createReadStream()) chunks.push(chunk as Buffer)
  const book = JSON.parse(Buffer.concat(chunks).toString()) as {
    models: [Record<string, unknown> & { engine: Engine }]
  }
  const [model] = book.models
  await page.goto('/spec-book/import')
  const give = (...models: unknown[]) =>
    page.getByLabel('File', { exact: true }).setInputFiles({
      name: 'model.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify({ ...book, models })),
    })
  const bad = {
    ...model.engine,
    strokeMm: 0,
    markWindow: '',
    makersStops: [{ ...model.engine.makersStops[0], valveIds: [] }],
    cam: { ...model.engine.cam, exhaustClosesAfterTdcDeg: -250 },
  }
  await give({ ...model, engine: bad }, { ...model, key: 'copy', model: 'Span 850, copy' }, model)
  const problem = page.locator('[data-row="1"]')
  for (const said of ['strokeMm', 'serves no valve', 'Check the sign']) await expect(problem).toContainText(said)
  for (const [state, n] of [
    ['problem', 1],
    ['new', 1],
    ['the same', 1],
  ] as const)
    await expect(page.getByRole('tab', { name: state })).toContainText(String(n))
  await page.getByRole('button', { name: 'Write 1 model' }).click()
  await expect(page.getByText('Saved.')).toBeVisible()
  await page.getByRole('link', { name: 'To the book' }).click()
  await page.getByLabel('Find a model').fill('span 850 copy')
  await expect(page.getByRole('row', { name: /Karnok Span 850, copy/ })).toContainText('draft')
})
