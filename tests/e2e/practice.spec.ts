import { expect, type Page, test } from '@playwright/test'
import { Apprentice } from './apprentice'
import { instruction, noViolations, signIn } from './bench'

/** Degrees of the cycle between where the answers put the crank and where it stands. */
async function apart(page: Page): Promise<number> {
  const wheel = page.getByLabel('What was believed, and what was so').locator('svg.wheel')
  const [believed, truly] = [
    Number(await wheel.getAttribute('data-crank')),
    Number(await wheel.locator('[data-true]').getAttribute('data-true')),
  ]
  return Math.abs(((((truly - believed + 360) % 720) + 720) % 720) - 360)
}

/** What is not done is asked about once. */
async function finishEarly(page: Page): Promise<void> {
  await page.getByTestId('hand-over').click()
  await expect(page.getByText('Something is still to do')).toBeVisible()
  await page.locator('.p-confirmpopup').getByRole('button', { name: 'Finish and mark it' }).click()
}

test('a whole run by the screen alone: found, measured, set, proved, and marked with nothing against it', async ({
  page,
}) => {
  test.setTimeout(300_000)
  const hand = await Apprentice.at(page, 'seed=3&level=1&kind=single')
  for (let i = 0; i < 80 && (await hand.step()); i++);
  await page.getByTestId('hand-over').click()
  await expect(page.getByTestId('score')).toHaveText(/^100 /)
  await expect(page.getByText('Nothing went wrong')).toBeVisible()
  // the truth lies over what was believed, at the last step in one place
  await page.getByTestId('truth-step').fill((await page.getByTestId('truth-step').getAttribute('max')) ?? '')
  expect(await apart(page)).toBeLessThan(15)
  for (const id of ['only-intake', 'only-exhaust'])
    await expect(page.locator(`[data-left="${id}"]`)).toHaveAttribute('data-in', 'true')
  await expect(page.getByText('Kept with the shop’s runs.')).toBeVisible()
  // it stands among the best of that engine and level
  await page.getByRole('button', { name: 'Choose another' }).click()
  await expect(page.locator('.best li').first()).toContainText('Tam')
  await expect(page.locator('.best li').first()).toContainText('100 of 100')
})

test('the wrong stroke is said to be slack: the blade and the screw there are marked, and what they would do', async ({
  page,
}) => {
  const hand = await Apprentice.at(page, 'seed=3&level=2&kind=single')
  await hand.step()
  await expect(instruction(page)).toHaveText(/Wiggle both rockers/)
  await hand.answer(1)
  await expect(instruction(page)).toHaveText(/^Try /)
  await hand.answer(4)
  await expect(page.getByRole('alert')).toHaveText(/Slide the blade in first/)
  await hand.answer(await hand.slide())
  await hand.take('screw')
  await page.locator('[data-nut-to=loose]').click()
  await page.locator('[data-turn="-15"]').click()
  await finishEarly(page)
  await expect(
    page
      .locator('[data-grade=wrong]')
      .filter({ hasText: /Wrong stroke: you measured the intake at 3\d\d° of the cycle/ }),
  ).toBeVisible()
  await expect(page.locator('[data-grade=wrong]').filter({ hasText: 'without feeling it' }).first()).toBeVisible()
  await expect(
    page.locator('[data-grade=dangerous]').filter({ hasText: /open, so it would be set that much too loose/ }),
  ).toBeVisible()
  await expect(page.locator('[data-grade=dangerous]').filter({ hasText: 'adjuster loose' })).toBeVisible()
  // where the rockers were guessed, the answers say compression and the crank stands a turn from it
  await page.locator('[data-grade=wrong]').filter({ hasText: 'without feeling it' }).first().getByRole('button').click()
  await expect(page.getByTestId('truly-at')).toContainText('exhaust stroke')
  expect(await apart(page)).toBeGreaterThan(300)
  await page.keyboard.press('ArrowRight')
  await expect(page.getByTestId('truth-words')).toHaveText(/ in the intake: /)
  await noViolations(page)
})

test('in one’s own words: a hint costs, a verdict is called, keys and a drag turn the crank, and nobody is led', async ({
  page,
}) => {
  await signIn(page, 'tam')
  await page.goto('/practice')
  await page.locator('[data-level="2"]').click()
  await page.locator('[data-engine="twin-180"]').click()
  await page.getByTestId('begin').click()
  await expect(instruction(page)).toHaveText('Turn it, and say what shows')
  const crank = async () => Number(await page.locator('[data-crank]').first().getAttribute('data-crank'))
  const before = await crank()
  await page.keyboard.press('ArrowRight')
  expect(await crank()).toBeCloseTo((before + 2) % 720, 3)
  const ring = (await page.locator('.ring').boundingBox())!
  const drawn = (await page.getByRole('img', { name: 'Engine, closed' }).boundingBox())!
  // the flywheel’s rim is 75 of the picture’s 376 units from its middle
  const [x, y, r] = [
    ring.x + ring.width / 2,
    ring.y + ring.height / 2,
    75 * Math.min(drawn.height / 376, drawn.width / 244),
  ]
  await page.mouse.move(x, y - r)
  await page.mouse.down()
  for (let deg = 5; deg <= 60; deg += 5)
    await page.mouse.move(x + r * Math.sin((deg * Math.PI) / 180), y - r * Math.cos((deg * Math.PI) / 180))
  await page.mouse.up()
  expect(((await crank()) - before + 720) % 720).toBeGreaterThan(50)
  await page.getByTestId('hint').click()
  await expect(instruction(page)).toHaveText(/^Turn until TL/)
  await page.keyboard.press('b')
  await expect(page.locator('.blade-tool')).toBeVisible()
  await noViolations(page)
  await finishEarly(page)
  await expect(page.getByText('1 hint.')).toBeVisible()
})

test('a robot’s seed opens that very engine', async ({ page }) => {
  await Apprentice.at(page, 'seed=266')
  await expect(page.getByText('Robot’s engine 266')).toBeVisible()
  await expect(page.locator('[data-crank]').first()).toHaveAttribute('data-crank', /^1\.\d$/)
})
