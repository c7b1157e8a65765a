import { expect, test } from '@playwright/test'
import { instruction, newJob, saved, signIn, workUntil } from './bench'

test('a faired single from complaint to cure: twelve parts off and back, made live, and its owner told', async ({
  page,
}) => {
  await signIn(page)
  await page.goto('/jobs/new?q=M-0116')
  await page.getByRole('button', { name: 'Hard to start hot' }).click()
  await page.getByRole('button', { name: 'Burns oil' }).click()
  await page.getByRole('button', { name: 'Open the job' }).click()
  await expect(page.getByText('A hint, not proof.')).toBeVisible()

  const gaps = { intake: 0.06, exhaust: 0.18, degPerMm: 720 }
  await workUntil(page, 'Remove: Seat', gaps)
  // out of its turn, by a tap in the list; then all that is plain by one key
  await page.getByRole('button', { name: /^Fan connector/ }).click()
  await page.locator('[data-key="2"]').click()
  await expect(instruction(page)).toHaveText('Remove the spark plug')
  await workUntil(page, 'Go over every locknut', gaps)
  await page.locator('[data-key="2"]').click()
  await page.locator('#ask-field').fill('3')
  await page.getByRole('button', { name: 'Record' }).click()
  await expect(page.getByText('You counted 3; this engine has 2').first()).toBeVisible()
  const asked = await workUntil(page, 'It came in: hard to start hot', gaps)
  const back = asked.filter(a => a.startsWith('Put back'))
  expect(back[0]).toContain('Cam cover')
  // what went off out of its turn goes back in the reverse of how it really came off
  expect(back.at(-1)).toContain('Fan connector')
  expect(asked.at(-2)).toContain('Undo what made it safe')

  await page.locator('[data-key="1"]').click()
  await expect(instruction(page)).toContainText('burns oil')
  await page.locator('[data-key="3"]').click()
  await expect(instruction(page)).toContainText('Still burns oil')
  await page.locator('[data-key="1"]').click()
  await workUntil(page, 'This job is closed', gaps)
  await saved(page)
  await page.getByRole('link', { name: 'Job sheet' }).click()
  const sheet = page.locator('article.sheet')
  await expect(sheet).toContainText('All 12 back')
  await expect(sheet).toContainText('“hard to start hot” is gone, “burns oil” is the same')
  await expect(sheet).toContainText('look at rings and valve guides')
})

test('a V-twin shows two heads with a sign for each valve; compression in the wrong unit is refused', async ({
  page,
}) => {
  await signIn(page, 'tam')
  const job = await newJob(page, 'Fork 720')
  await page.goto(`/jobs/${job}`)
  await workUntil(page, 'Find intake', { intake: 0.12, exhaust: 0.16, degPerMm: 480 })
  const head = page.locator('.head-stage svg')
  await expect(head.locator('[data-valve] text')).toHaveText(['1I', '1E', '2I', '2E'])
  expect(
    await head.locator('[data-lean]').evaluateAll(all => all.map(g => Number(g.getAttribute('data-lean')))),
  ).toEqual([-37.5, 37.5])

  await page.getByRole('button', { name: 'More' }).click()
  await page.getByRole('button', { name: 'Compression or leak-down' }).click()
  await page.getByLabel('Gauge says').fill('130')
  await page.getByRole('button', { name: 'Record' }).click()
  await expect(page.getByRole('alert')).toContainText('Was 130 psi meant?')
  await page.getByRole('button', { name: 'psi', exact: true }).click()
  await page.getByRole('button', { name: 'Record' }).click()
  await expect(page.getByText('Compression before: 130 psi').first()).toBeVisible()
})

test('a model takes the usual list of its kind, and a torque that no such thread takes is said at the part', async ({
  page,
}) => {
  await signIn(page)
  await page.goto('/spec-book/new')
  await page.getByRole('button', { name: /Heads, what comes off/ }).click()
  await page.getByRole('button', { name: 'Begin with the usual list' }).click()
  await page
    .getByRole('button', { name: /^Valve cover/ })
    .first()
    .click()
  await page.getByLabel('Held by').fill('4 M6 × 25')
  await page.getByLabel('Torque, N·m or another unit').fill('88')
  await expect(page.getByRole('alert').filter({ hasText: 'M6' })).toContainText('Check unit and thread')
  await page.getByLabel('Torque, N·m or another unit').fill('88 lbf·in')
  await expect(page.getByRole('alert').filter({ hasText: 'M6' })).toHaveCount(0)
  await expect(page.getByRole('button', { name: /^Valve cover/ }).first()).toContainText('9.9 N·m (88 lbf·in)')
})
