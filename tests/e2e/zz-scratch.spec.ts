import { expect, test } from '@playwright/test'
import { signIn } from './bench'
test('walk', async ({ page }) => {
  test.setTimeout(300_000)
  const shot = async (name: string, fullPage = false) => { await page.waitForTimeout(500); await page.screenshot({ path: `/tmp/w/s-${name}.png`, fullPage }) }
  await page.setViewportSize({ width: 1280, height: 800 })
  await signIn(page)
  const of = async (q: string) => page.evaluate(async q => (await (await fetch('/api/models?q=' + q)).json()).rows[0].id, q)
  await page.goto('/spec-book'); await expect(page.getByRole('row').nth(1)).toBeVisible(); await shot('search')
  await page.goto(`/spec-book/${await of('duet')}`); await expect(page.getByText('Revisions')).toBeVisible(); await shot('model', true)
  const h = await of('hedgerow')
  await page.goto(`/spec-book/${h}`); await page.locator('[data-revision="2"]').click(); await shot('model-draft', true)
  await page.getByRole('link', { name: 'Decide' }).click(); await expect(page.getByText('Approve draft')).toBeVisible(); await shot('compare')
  await page.goto(`/spec-book/${h}/draft`); await expect(page.getByText('New draft')).toBeVisible(); await shot('draft')
})
