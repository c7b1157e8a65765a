import { expect, test } from '@playwright/test'
import { instruction, newJob, noViolations, saved, signIn, workUntil } from './bench'
import { BenchHand } from './hand'

const tight = () => ({ intake: 0.1, exhaust: 0.105, degPerMm: 720 })
test('undo, at any depth, and for a movement it asks which of the two is meant', async ({ page }) => {
  await signIn(page)
  await page.goto(`/jobs/${await newJob(page, 'Minnow 125')}`)
  const gaps = tight()
  await workUntil(page, 'Wiggle', gaps)
  await page.keyboard.press('1')
  await expect(instruction(page)).toContainText('Try')
  await page.keyboard.press('u')
  await expect(instruction(page)).toHaveText('Wiggle both rockers')
  await page.keyboard.press('u')
  await expect(page.getByRole('heading', { name: 'Recorded wrongly, or turned back?' })).toBeVisible()
  await page.getByRole('button', { name: /Recorded wrongly/ }).click()
  await expect(instruction(page)).toContainText('Turn until T')
  await page.keyboard.press('l')
  await page.getByRole('button', { name: /Undo: Parked/ }).click()
  await expect(instruction(page)).toContainText('How cold')
  await saved(page)
})

test('a gate is gone through with a reason, a finding is written down, and both stand on the sheet', async ({
  page,
}) => {
  await signIn(page)
  const job = await newJob(page, 'Minnow 125')
  await page.goto(`/jobs/${job}`)
  await workUntil(page, 'How cold', tight())
  await page.keyboard.press('1')
  await page.getByLabel('Temperature of the head').fill('sixty')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('as a number')
  await page.getByLabel('Temperature of the head').fill('140 F')
  await page.keyboard.press('Enter')
  await expect(page.locator('.why')).toContainText('60 °C is over the 35 °C limit')
  await page.keyboard.press('g')
  await page.getByLabel('Why? The sheet').fill('Owner waits, told of the risk')
  await page.getByRole('button', { name: 'Record' }).click()
  await expect(instruction(page)).toContainText('can’t start')
  await page.keyboard.press('m')
  await page.getByRole('button', { name: 'Found or replaced something' }).click()
  await page.getByLabel('What did you find').fill('Cracked fuel hose')
  await page.getByRole('button', { name: 'Record' }).click()
  await saved(page)
  await page.goto(`/jobs/${job}/sheet`)
  await expect(page.locator('article.sheet')).toContainText('Owner waits, told of the risk')
  await expect(page.locator('article.sheet')).toContainText('Cracked fuel hose')
  await expect(page.locator('article.sheet')).toContainText('not signed')
})

test('“it moved” sends back to Find; contradicting blades are named, and one is asked for again', async ({ page }) => {
  await signIn(page)
  await page.goto(`/jobs/${await newJob(page, 'Minnow 125')}`)
  const gaps = tight()
  // who pulls a nut tight leans on the crank: what a torque left out of the spec is gone over once more
  gaps.exhaust = 0.1
  await workUntil(page, 'Torque the nut', gaps)
  gaps.exhaust = 0.05
  await workUntil(page, 'Is T still', gaps)
  await page.keyboard.press('2')
  await expect(instruction(page)).toContainText('Turn until T')
  await saved(page)

  await page.goto(`/jobs/${await newJob(page, 'Minnow 125')}`)
  await workUntil(page, 'Try', tight())
  const asked = await instruction(page).innerText()
  for (let i = 0; i < 2; i++) await page.keyboard.press('ArrowLeft')
  await saved(page)
  await expect(instruction(page), 'the chosen blade outlasts the sending').not.toHaveText(asked)
  const thin = await page.locator('.blade.chosen .first').innerText()
  await page.keyboard.press('4')
  await expect(page.locator('.why')).not.toHaveText('')
  await page.keyboard.press('s')
  await page.getByLabel('Which blade').fill('0.21')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('0.21 mm is not in Set A, metric. The nearest: 0.20 and 0.23.')
  await page.getByLabel('Which blade').fill('0.2')
  await page.keyboard.press('Enter')
  await expect(instruction(page)).toContainText('Try 0.20')
  await page.keyboard.press('1')
  await expect(page.locator('.why')).toContainText(`${thin} no-go can’t both be right`)
})

test('the picture is the engine: wheel and section stand where the core puts them', async ({ page }) => {
  await signIn(page)
  await page.goto(`/jobs/${await newJob(page, 'Minnow 125')}`)
  await workUntil(page, 'Wiggle', tight())
  const wheel = page.locator('svg.wheel')
  // closed arcs are drawn from the core's angles: the path's first point lies at startDeg / 2 on the dial
  const start = await wheel.locator('[data-valve=intake] .closed').first().getAttribute('d')
  const [x, y] = /M (\S+) (\S+)/.exec(start!)!.slice(1).map(Number) as [number, number]
  const dial = ((Math.atan2(x - 256, 256 - y) * 180) / Math.PI + 360) % 360
  // intake: closes 36° after BDC at 1 mm, ramp 30°: the base circle begins at 606°
  expect(dial * 2).toBeCloseTo(606, 0)
  await expect(wheel.locator('.lobe')).toHaveCount(2)
  await page.keyboard.press('4')
  await expect(instruction(page)).toContainText('One more full turn')
  await expect.poll(async () => Number(await wheel.getAttribute('data-crank'))).toBeCloseTo(360, 0)
  const drop = Number(await wheel.locator('.piston').getAttribute('data-drop'))
  expect(drop).toBeLessThan(0.05)
  for (const role of ['intake', 'exhaust'])
    expect(Number(await wheel.locator(`.valve[data-role=${role}]`).getAttribute('data-lift'))).toBeGreaterThan(0)
  await page.keyboard.press('1')
  // the new place was not felt yet
  await expect(instruction(page)).toHaveText('Wiggle both rockers')
  await page.keyboard.press('1')
  await expect(instruction(page)).toContainText('Try')
  for (const role of ['intake', 'exhaust'])
    await expect(page.locator(`.valve[data-role=${role}]`)).toHaveAttribute('data-lift', '0.00')
})

test('a job is put on hold and taken up again; leaving and coming back resumes at the same place', async ({ page }) => {
  await signIn(page)
  const job = await newJob(page, 'G30')
  await page.goto(`/jobs/${job}`)
  await workUntil(page, 'Remove:', tight())
  await page.keyboard.press('m')
  await page.getByRole('button', { name: 'Put the job on hold' }).click()
  await page.getByLabel('Why put it on hold').fill('Gasket ordered')
  await page.getByRole('button', { name: 'Record' }).click()
  await expect(instruction(page)).toHaveText('This job is on hold')
  await saved(page)
  await page.getByRole('link', { name: 'Bay', exact: false }).first().click()
  await expect(page.locator(`[data-job="${job}"]`)).toContainText('Gasket ordered')
  await page.locator(`[data-job="${job}"]`).click()
  await page.getByRole('button', { name: 'Resume it' }).click()
  await expect(instruction(page)).toContainText('Remove:')
})

test('a job that is not there says so, and leads back', async ({ page }) => {
  await signIn(page)
  await page.goto('/jobs/999999')
  await expect(page.getByRole('heading', { name: 'This job cannot be shown' })).toBeVisible()
  await expect(page.getByText('no such job in this shop')).toBeVisible()
})

test('nothing is fetched from anywhere else', async ({ page }) => {
  const foreign: string[] = []
  page.on('request', request => {
    if (
      !request.url().startsWith(process.env.WEMBRIC_TEST_URL!) &&
      !request.url().startsWith('data:') &&
      !request.url().startsWith('blob:')
    )
      foreign.push(request.url())
  })
  await signIn(page)
  await page.goto(`/jobs/${await newJob(page, 'Minnow 125')}`)
  await expect(instruction(page)).toBeVisible()
  expect(foreign).toEqual([])
})

test('the keyboard alone suffices, from sign-in to the first answer and back to the Bay', async ({ page }) => {
  await page.goto('/sign-in')
  await expect(page.getByLabel('Name')).toBeVisible()
  const tabTo = async (name: string) => {
    for (let i = 0; i < 40; i++) {
      if (
        await page.evaluate(
          name =>
            document.activeElement !== document.body &&
            ((document.activeElement?.textContent ?? '').includes(name) ||
              document.activeElement?.getAttribute('name') === name ||
              document.activeElement?.id === name),
          name,
        )
      )
        return
      await page.keyboard.press('Tab')
    }
    throw new Error(`“${name}” cannot be reached by Tab`)
  }
  await tabTo('signIn')
  await page.keyboard.type('ines')
  await tabTo('password')
  await page.keyboard.type('quillbrook')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-job]').first()).toBeVisible()
  await page.keyboard.press('n')
  await expect(page.getByRole('heading', { name: 'New job' })).toBeVisible()
  await tabTo('find')
  await page.keyboard.type('M-0107')
  await expect(page.locator('[data-machine]')).toHaveCount(1)
  await tabTo('Minnow 125, blue')
  await page.keyboard.press('Enter')
  await tabTo('Open the job')
  await page.keyboard.press('Enter')
  await expect(instruction(page)).toContainText('Is this the Minnow 125, blue')
  await page.keyboard.press('Enter')
  await expect(instruction(page)).toContainText('Is this the right spec')
  await page.keyboard.press('c')
  await expect(page.getByRole('button', { name: /Understood/ })).toHaveCount(0)
  await page.keyboard.press('?')
  await expect(page.getByRole('heading', { name: 'Keys' })).toBeVisible()
  await page.keyboard.press('Escape')
  await saved(page)
  await page.keyboard.press('b')
  await expect(page.locator('[data-job]').first()).toBeVisible()
})

test('two devices: a feel given without having seen the other’s turn waits for “before or after”', async ({
  page,
  browser,
}) => {
  await signIn(page)
  const job = await newJob(page, 'Minnow 125')
  await page.goto(`/jobs/${job}`)
  await workUntil(page, 'Wiggle', tight())
  await saved(page)
  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
  await signIn(phone, 'tam')
  await phone.goto(`/jobs/${job}`)
  // the job is in her hand: he is asked, looks on, then takes it over, and she is told
  await expect(instruction(phone)).toHaveText('Ines has this job')
  await phone.getByRole('button', { name: /Look on/ }).click()
  await expect(instruction(phone)).toHaveText('Wiggle both rockers')
  await expect(phone.getByText('Looking on: Ines')).toBeVisible()
  await phone.getByRole('button', { name: /Take over/ }).click()
  await expect(phone.getByRole('button', { name: /Both slack/ })).toBeVisible()
  await saved(phone)
  await expect(instruction(page)).toHaveText('Tam has this job')

  await phone.context().setOffline(true)
  await phone.getByRole('button', { name: /Both slack/ }).click()
  await expect(phone.getByTestId('saved')).toContainText('1 to send')
  await page.keyboard.press('2')
  await expect(instruction(page)).toHaveText('Wiggle both rockers')
  await page.keyboard.press('4')
  await expect(instruction(page)).toContainText('One more full turn')
  await page.keyboard.press('1')
  await saved(page)
  await phone.context().setOffline(false)
  await saved(phone)

  const question = page.getByRole('alert').filter({ hasText: 'felt before or after the turn?' })
  await expect(question).toContainText('Tam')
  await expect(instruction(page)).toHaveText('Wiggle both rockers')
  await question.getByRole('button', { name: 'After' }).click()
  await expect(question).toHaveCount(0)
  await expect(instruction(page)).toContainText('Try')
  await saved(page)
  await expect(page.getByRole('alert')).toHaveCount(0)
})

test('a term of the trade is explained where it is met, with a picture, and the job stays where it is', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await signIn(page)
  await BenchHand.finding(page, 'Fallow V22', 400)
  const said = await instruction(page).innerText()
  await page.locator('.why').getByRole('button', { name: 'decompressor' }).click()
  const card = page.getByTestId('term')
  await expect(card).toContainText('holds the exhaust open')
  await expect(card.locator('svg')).toBeVisible()
  await noViolations(page)
  await page.keyboard.press('Escape')
  await expect(card).toHaveCount(0)
  expect(await instruction(page).innerText()).toBe(said)
  await page.goto('/glossary')
  await expect(page.getByRole('heading', { level: 2 })).toHaveCount(12)
  await noViolations(page)
})
