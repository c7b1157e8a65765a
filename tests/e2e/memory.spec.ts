import { randomBytes } from 'node:crypto'
import { expect, type Page, test } from '@playwright/test'
import jsQR from 'jsqr'
import { PNG } from 'pngjs'
import sharp from 'sharp'
import { instruction, newJob, noViolations, signIn } from './bench'
import { BenchHand } from './hand'

const ownJob = async (page: Page): Promise<{ id: number; machineId: number; tag: string }> => {
  const id = await newJob(page, 'Hedgerow 18')
  return page.evaluate(async jobId => {
    const { pin } = await (await fetch(`/api/jobs/${jobId}?after=0`)).json()
    return { id: jobId, machineId: pin.machine.id as number, tag: pin.machine.tag as string }
  }, id)
}

test('a job cools and becomes ready by the clock', async ({ page }) => {
  await page.clock.install({ time: new Date() })
  await signIn(page)
  const { id } = await ownJob(page)
  await page.evaluate(async jobId => {
    const { person } = await (await fetch('/api/session')).json()
    const say = (type: string, payload: object, n: number) =>
      fetch(`/api/jobs/${jobId}/events`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          type,
          payload,
          id: `018f0000-0000-7000-8000-${String((Date.now() % 1e8) + n).padStart(12, '0')}`,
          version: 1,
          personId: person.id,
          deviceId: 'warm',
          deviceSeq: n,
          seenSeq: 0,
          at: new Date(Date.now() - (n === 3 ? 30 : 0) * 60_000).toISOString(),
        }),
      })
    await say('confirmed', { item: 'machine' }, 1)
    await say('confirmed', { item: 'spec' }, 2)
    await say('temperature', { celsius: 72, airC: 19 }, 3)
    await say('temperature', { celsius: 57 }, 4)
  }, id)
  await page.goto('/')
  const card = page.locator(`[data-job="${id}"]`)
  const lane = (name: string) => page.getByRole('region', { name, exact: true }).locator(`[data-job="${id}"]`)
  await expect(lane('Cooling')).toContainText(/57 °C, cold about \d{1,2}:\d\d/)
  await expect(card.getByRole('img', { name: /Cold about/ })).toBeVisible()
  // four hours pass, away from the shop: an answer from it would put the browser's clock right again
  await page.context().setOffline(true)
  await page.clock.fastForward('04:00:00')
  await page.clock.runFor(20_000)
  await expect(lane('Ready')).toContainText('Should be cold: read the head')
  await expect(lane('Cooling')).toHaveCount(0)
})

test('a card that is dragged to another person in one browser is theirs in another at once', async ({
  page,
  browser,
}) => {
  await signIn(page)
  const { id } = await ownJob(page)
  const other = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
  await signIn(other, 'tam')
  for (const p of [page, other]) {
    await p.goto('/')
    await p.getByRole('button', { name: 'By person' }).click()
    await expect(p.locator(`[data-job="${id}"]`)).toBeVisible()
  }
  await expect(page.getByRole('region', { name: 'Unassigned' }).locator(`[data-job="${id}"]`)).toBeVisible()
  const grip = page.locator(`[data-job="${id}"] .grip`)
  await grip.scrollIntoViewIfNeeded()
  const from = (await grip.boundingBox())!
  const to = (await page.locator('[data-lane=Tam]').boundingBox())!
  await page.mouse.move(from.x + 20, from.y + 20)
  await page.mouse.down()
  await page.mouse.move(from.x - 40, from.y + 10, { steps: 4 })
  await page.mouse.move(to.x + 60, to.y + 20, { steps: 12 })
  await page.mouse.move(to.x + 70, to.y + 24, { steps: 3 })
  const answered = page.waitForResponse(r => r.url().endsWith(`/api/jobs/${id}/place`))
  await page.mouse.up()
  expect((await answered).status()).toBe(200)
  await expect(other.getByRole('region', { name: 'Tam' }).locator(`[data-job="${id}"]`)).toBeVisible()
  await expect(page.locator(`[data-job="${id}"]`)).toHaveAttribute('data-person', 'Tam')
  // and back without dragging
  await page.locator(`[data-job="${id}"]`).getByRole('button', { name: /^Move/ }).click()
  await page
    .getByRole('group', { name: /^Whose is/ })
    .getByRole('button', { name: 'Unassigned' })
    .click()
  await expect(other.getByRole('region', { name: 'Unassigned' }).locator(`[data-job="${id}"]`)).toBeVisible()
  await noViolations(page)
})

test('the tag’s code, read off its picture by another reader, opens the machine on a phone', async ({
  page,
  browser,
}) => {
  await signIn(page)
  const { machineId, tag } = await ownJob(page)
  await page.goto(`/machines/${machineId}/tag`)
  const shot = PNG.sync.read(await page.getByTestId('tag').screenshot({ scale: 'css' }))
  const read = jsQR(new Uint8ClampedArray(shot.data), shot.width, shot.height)
  expect(read?.data).toBe(`${new URL(page.url()).origin}/t/${tag}`)
  const phone = await (
    await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
  ).newPage()
  // a stranger signs in first, and lands on the machine all the same
  await phone.goto(read!.data)
  await phone.getByLabel('Name').fill('ines')
  await phone.getByLabel('Password').fill('quillbrook')
  await phone.getByRole('button', { name: 'Sign in' }).click()
  await expect(phone).toHaveURL(new RegExp(`/machines/${machineId}$`))
  await expect(phone.getByRole('heading', { level: 1 })).toContainText('Hedgerow 18')
  expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await phone.goto('/t/no-such')
  await expect(phone.getByRole('alert')).toContainText('has the tag no-such')
})

test('an owner is told of all that is due; the calendar’s address is made and ended; the page shows what a gap does', async ({
  page,
}) => {
  await signIn(page)
  await page.goto('/due')
  await page.getByLabel('Weeks ahead').click()
  await page.getByRole('option', { name: '60 weeks' }).click()
  const row = page.locator('[data-due="M-0111"]')
  await row.getByRole('button', { name: /Tell the owner|Told/ }).click()
  const letter = page.getByLabel('Letter')
  await expect(letter).toHaveValue(/Dear O\. Brackwell/)
  await page.getByLabel('E-mail').fill('not an address')
  await page.getByRole('button', { name: 'Send' }).click()
  await expect(page.getByRole('alert').first()).toContainText('name@place')
  await page.getByLabel('E-mail').fill('brackwell@owner.example')
  await page.getByRole('button', { name: 'Send' }).click()
  await expect(page.getByText(/In the outbox as .*\.eml/)).toBeVisible()
  await expect(row.getByRole('button', { name: /^Told/ })).toBeVisible()
  await noViolations(page)
  await page.goto('/shop')
  await page.getByRole('button', { name: 'Make an address' }).click()
  await expect(page.getByTestId('calendar-address')).toContainText('/api/calendar/')
  await page
    .getByRole('button', { name: /^Cancel address/ })
    .first()
    .click()
  await page.getByRole('alertdialog').getByRole('button', { name: 'Cancel it' }).click()
  await page.goto('/machines')
  await page.getByLabel(/Find by owner, plate/).fill('SL 405')
  await page.locator('tbody a', { hasText: 'Duet 405, cream' }).click()
  await page.getByRole('button', { name: 'Left exhaust' }).click()
  await expect(page.getByTestId('lift-words')).toContainText(/[Oo]pens \d+° (early|late)/)
  await noViolations(page)
})

test('a visit from paper: a meter that cannot be is named, nothing typed is lost, and it takes its place', async ({
  page,
}) => {
  await signIn(page)
  const { machineId } = await ownJob(page)
  await page.goto(`/machines/${machineId}`)
  await page.getByRole('button', { name: 'Edit' }).click()
  await page.getByLabel('What', { exact: true }).click()
  await page.getByRole('option', { name: /earlier visit/ }).click()
  await page.getByLabel('Day', { exact: true }).fill('2025-05-02')
  await page.getByLabel('Meter, h').fill('40')
  const exhaust = page.getByRole('group', { name: 'Exhaust' })
  await exhaust.getByLabel('Found').fill('0.12-0.14')
  await exhaust.getByLabel('Left').fill('sixteen')
  await page.getByRole('button', { name: 'Save the visit' }).click()
  await expect(page.getByRole('alert').first()).toContainText('sixteen')
  await exhaust.getByLabel('Left').fill('0.16–0.18')
  await page.getByRole('button', { name: 'Save the visit' }).click()
  await expect(page.getByRole('alert').first()).toContainText('12 h, which is after this day')
  await page.getByLabel('Meter, h').fill('4')
  await page.getByRole('button', { name: 'Save the visit' }).click()
  await expect(page.locator('[data-visit^="past visit"]')).toContainText('Exhaust set')
})

test('an oil change waits for the valves on the card; a photo is taken at the bench', async ({ page }) => {
  await signIn(page)
  const { id } = await ownJob(page)
  await page.evaluate(
    async jobId =>
      fetch(`/api/jobs/${jobId}/tasks`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ name: 'Oil change', needs: 'warm' }),
      }),
    id,
  )
  await page.goto('/')
  const card = page.locator(`[data-job="${id}"]`)
  await card.getByLabel(/Oil change/).click()
  await expect(card.getByRole('alert')).toContainText('valves of this machine are not done')
  const hand = await BenchHand.at(page, id, 200)
  await hand.ready()
  await page.goto(`/jobs/${id}`)
  await expect(instruction(page)).toBeVisible()
  await page.keyboard.press('m')
  await page.getByRole('button', { name: /^Photos/ }).click()
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'head.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('not a photo') })
  await expect(page.getByRole('alert').filter({ hasText: 'JPEG' })).toContainText('not a JPEG, PNG or WebP')
  // as a phone takes it: larger than the shop takes, and lying on its side
  const [width, height] = [3000, 2000]
  const noise = randomBytes(width * height * 3)
  const buffer = await sharp(noise, { raw: { width, height, channels: 3 } })
    .jpeg({ quality: 100 })
    .withMetadata({ orientation: 6 })
    .toBuffer()
  expect(buffer.length).toBeGreaterThan(5 * 1024 * 1024)
  await page.locator('input[type=file]').setInputFiles({ name: 'head.jpg', mimeType: 'image/jpeg', buffer })
  const photo = page.getByRole('img', { name: /^Photo of/ })
  await expect(photo).toBeVisible()
  await expect.poll(() => photo.evaluate((p: HTMLImageElement) => p.naturalHeight > p.naturalWidth)).toBe(true)
})
