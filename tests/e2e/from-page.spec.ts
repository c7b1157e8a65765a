import { expect, test } from '@playwright/test'
import sharp from 'sharp'
import { signIn } from './bench'

const PAGE = [
  'Torvane R 210',
  'Valve clearance (cold)',
  'Intake: 0.08-0.12 mm',
  'Exhaust: 0.13-0.17 mm',
  'Adjuster lock nut: 12 lbf-ft',
  'Spark plug gap: 0.7 mm',
  'Check valve clearance every 4,000 km or 12 months.',
]
/** A page as a phone photographs it: a little turned, a little soft, darker at a corner. */
const photographed = (lines: string[]) =>
  sharp(
    Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="1400" height="900">
      <defs><linearGradient id="light" x1="0" y1="0" x2="1" y2="1">
        <stop offset="0" stop-color="#f4f1ea"/><stop offset="1" stop-color="#bdb8ad"/></linearGradient></defs>
      <rect width="100%" height="100%" fill="url(#light)"/>
      <g transform="rotate(0.8)" font-family="serif" font-size="34" fill="#222">
        ${lines.map((line, i) => `<text x="90" y="${120 + i * 58}">${line}</text>`).join('')}</g></svg>`),
  )
    .blur(0.7)
    .jpeg({ quality: 75 })
    .toBuffer()

test('a model from the text of its page: what is checked is filled in, and nothing else', async ({ page }) => {
  await signIn(page)
  await page.goto('/spec-book/new')
  await page.getByRole('button', { name: 'Paste its text' }).click()
  await page.getByLabel('Text of the page').fill([...PAGE, 'Intake valve: 0.10 mm'].join('\n'))
  await page.getByRole('button', { name: 'Read it' }).click()
  await expect(page.getByText('The page also says 0.10 mm. It may describe two models.')).toBeVisible()
  await page.getByRole('button', { name: /without doubt/ }).click()
  await page.getByRole('button', { name: /^Fill in these/ }).click()
  await expect(page.getByLabel('Exhaust', { exact: true }).first()).toHaveValue('0.13–0.17 mm')
  await expect(page.getByLabel('Intake', { exact: true }).first()).toHaveValue('')
  await expect(page.getByText(/2 more were found, with a doubt/)).toBeVisible()
  await page.getByRole('button', { name: /^Torques, parts, schedule/ }).click()
  await expect(page.getByLabel('Locknut torque')).toHaveValue('12 lbf·ft')
  // what is not told is named with its cost, and a press leads to its field
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Stroke: 54 mm is assumed' })
    .getByRole('button', { name: 'Fill it in' })
    .click()
  await expect(page.getByLabel('Stroke', { exact: true })).toBeFocused()
})

test('a model from a photo of its page, read on the device; the photo stays with the revision', async ({ page }) => {
  await signIn(page)
  await page.goto('/spec-book/new')
  const photo = page.getByLabel('Photograph it')
  await photo.setInputFiles({
    name: 'lawn.jpg',
    mimeType: 'image/jpeg',
    buffer: await sharp({ create: { width: 600, height: 400, channels: 3, background: '#4a7' } })
      .jpeg()
      .toBuffer(),
  })
  await expect(page.getByRole('alert')).toContainText('can’t be made out', { timeout: 60_000 })
  await photo.setInputFiles({ name: 'page.jpg', mimeType: 'image/jpeg', buffer: await photographed(PAGE) })
  await expect(page.getByText(/figures were found/)).toBeVisible({ timeout: 60_000 })
  await expect(page.getByRole('img', { name: /0\.08/ }).first()).toBeVisible()
  for (const name of [/^Intake 0\.08–0\.12 mm/, /^Exhaust 0\.13–0\.17 mm/, /^Locknut torque 12 lbf·ft/])
    await page.getByRole('checkbox', { name }).check()
  await page.getByRole('button', { name: 'Fill in these 3 figures' }).click()
  const fields = { 'Maker': 'Torvane', 'Model': 'R 210', 'Source': 'Manual, p. 4-12', 'Source’s date': '2024-09-09' }
  for (const [label, value] of Object.entries(fields)) await page.getByLabel(label, { exact: true }).fill(value)
  await page.getByRole('button', { name: 'Add it' }).click()
  await expect(page.getByRole('heading', { name: 'Torvane R 210' })).toBeVisible()
  await expect(page.getByText('printed 12 lbf·ft')).toBeVisible()
  const kept = page.getByRole('link', { name: 'Photo of its page' })
  expect((await page.request.get((await kept.getAttribute('href'))!)).headers()['content-type']).toBe('image/webp')
})

test('hands change on a trusted phone by a tap and a PIN, and back at the same page', async ({ browser, baseURL }) => {
  const page = await (await browser.newContext({ baseURL, viewport: { width: 390, height: 844 } })).newPage()
  await signIn(page, 'jory')
  await page.goto('/hands')
  await expect(page.getByText('nobody changes hands by PIN yet')).toBeVisible()
  await page.getByLabel('Your PIN').fill('1234')
  await page.getByRole('button', { name: 'Keep this PIN' }).click()
  await expect(page.getByText('easily guessed')).toBeVisible()
  await page.getByLabel('Your PIN').fill('2580')
  await page.getByRole('button', { name: 'Keep this PIN' }).click()
  await expect(page.getByText('Your PIN is kept.')).toBeVisible()
  await page.getByRole('button', { name: /^Jory:/ }).click()
  await page.getByRole('menuitem', { name: 'Sign out' }).click()

  await signIn(page, 'ines')
  await page.goto('/shop')
  await page.getByLabel('This device is called').fill('Bench phone')
  await page.getByRole('button', { name: 'Trust this device' }).click()
  await expect(page.getByRole('cell', { name: 'Bench phone', exact: true })).toBeVisible()
  await page.goto('/machines')
  await page.getByRole('button', { name: /^Ines:/ }).click()
  await page.getByRole('menuitem', { name: /Change of hands/ }).click()
  await page.getByRole('button', { name: 'Jory', exact: true }).click()
  await page.getByLabel('PIN of Jory').fill('1928')
  await page.getByRole('button', { name: 'Take over' }).click()
  await expect(page.getByText('Wrong PIN')).toBeVisible()
  await page.getByLabel('PIN of Jory').fill('2580')
  await page.getByRole('button', { name: 'Take over' }).click()
  await expect(page).toHaveURL(/\/machines/)
  await expect(page.getByRole('button', { name: /^Jory:/ })).toBeVisible()
})
