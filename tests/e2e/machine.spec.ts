import { expect, test } from '@playwright/test'
import { instruction, noViolations, saved, signIn } from './bench'
import { BenchHand } from './hand'

test('one more visit shows on the machine’s page, and its reading moves the drift and the due date', async ({
  page,
}) => {
  test.setTimeout(180_000)
  await signIn(page)
  await page.goto('/machines')
  await page.getByLabel(/Find by owner, plate/).fill('M-0106')
  await page.locator('tbody a', { hasText: 'Minnow 125, gray' }).click()
  await expect(page.getByTestId('due')).toBeVisible()
  const visits = await page.locator('.visit').count()
  expect(visits).toBeGreaterThan(1)
  const valve = page.locator('[data-valve=exhaust]')
  const [before, due] = [await valve.getAttribute('data-drift'), await page.getByTestId('due').innerText()]
  const id = Number(/machines\/(\d+)/.exec(page.url())![1])
  const made = await page.evaluate(async machineId => {
    const get = async (path: string) => (await fetch(path)).json()
    const [set] = await get('/api/blade-sets')
    const { machine } = await get(`/api/machines/${machineId}`)
    if (machine.openJobId) return { id: machine.openJobId as number, opened: false }
    const answer = await fetch('/api/jobs', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        machineId,
        bladeSetId: set.id,
        meter: machine.lastMeter + 1500,
        meterReplaced: false,
        complaint: 'due',
      }),
    })
    return { id: (await answer.json()).id as number, opened: true }
  }, id)
  expect(made.opened).toBe(true)
  const hand = await BenchHand.at(page, made.id, 300)
  await page.goto(`/jobs/${made.id}`)
  await hand.until(next => next.step === 'close', 200)
  for (let i = 0; i < 20; i++) if ((await hand.step()).instruction.startsWith('Sign')) break
  await expect(instruction(page)).toContainText('closed')
  await saved(page)
  await page.goto(`/machines/${id}`)
  await expect(page.locator('.visit')).toHaveCount(visits + 1)
  expect(await valve.getAttribute('data-drift')).not.toBe(before)
  expect(await page.getByTestId('due').innerText()).not.toBe(due)
  await noViolations(page)
})
