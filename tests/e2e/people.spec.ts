import { expect, test } from '@playwright/test'
import { signIn } from './bench'

test('a one-time code opens once on a phone, and its person is gone when the lead ends their access', async ({
  page,
  browser,
}) => {
  await signIn(page)
  await page.goto('/shop')
  const name = `Wren ${Date.now() % 100000}`
  const signInName = name.toLowerCase().replace(' ', '.')
  const adding = page.locator('form.adding')
  await adding.getByLabel('Name', { exact: true }).fill(name)
  await adding.getByLabel('Sign-in name').fill(signInName)
  await adding.getByLabel('First password').fill('nobody remembers this')
  await adding.getByRole('button', { name: 'Add' }).click()
  const change = page.getByRole('button', { name: `Changes for ${name}` })
  await change.click()
  await page.getByRole('menuitem', { name: 'One-time code' }).click()
  const code = (await page.getByTestId('one-time-code').textContent())!.trim()

  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })).newPage()
  await phone.goto('/sign-in')
  await phone.getByRole('button', { name: 'I have a one-time code' }).click()
  await phone.getByLabel('Name').fill(signInName)
  await phone.getByLabel('One-time code').fill(code.toLowerCase())
  await phone.getByLabel('New password').fill('birds on a wire')
  await phone.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(phone.getByRole('link', { name: /New job/ })).toBeVisible()
  await phone.goto('/me')
  await phone.getByLabel('Password you have now').fill('not this one')
  await phone.getByLabel('New password').fill('birds off the wire')
  await phone.getByRole('button', { name: 'Change the password' }).click()
  await expect(phone.getByText('That is not your password.').first()).toBeVisible()
  await expect(phone.getByLabel('New password'), 'nothing that was typed is lost').toHaveValue('birds off the wire')

  await change.click()
  await page.getByRole('menuitem', { name: 'End access' }).click()
  await page.getByRole('alertdialog').getByRole('button', { name: 'End access' }).click()
  await expect(page.getByRole('button', { name: /Those who left/ })).toBeVisible()
  await expect(change).toHaveCount(0)
  await phone.goto('/machines')
  await expect(phone).toHaveURL(/sign-in/)
  await page.getByRole('link', { name: 'Shop log' }).click()
  await expect(page.getByRole('row', { name: new RegExp(`Ended an access.*${name}`) })).toBeVisible()
})

test('a second shop is made from the page; a name and password that are in both are asked for the shop', async ({
  page,
  browser,
}) => {
  const tail = String(Date.now() % 100000)
  const [name, password] = [`gil.${tail}`, 'gulls on the roof']
  await signIn(page)
  await page.goto('/shop')
  const adding = page.locator('form.adding')
  await adding.getByLabel('Name', { exact: true }).fill('Gil')
  await adding.getByLabel('Sign-in name').fill(name)
  await adding.getByLabel('First password').fill(password)
  await adding.getByRole('button', { name: 'Add' }).click()
  await expect(page.getByRole('button', { name: 'Changes for Gil' })).toBeVisible()
  await page.getByRole('link', { name: 'Shops on this server' }).click()
  const form = page.locator('form').last()
  await form.getByLabel('Shop', { exact: true }).fill('Harbor Works')
  await form.getByLabel('Short name').fill(`harbor-${tail}`)
  await form.getByLabel('Name', { exact: true }).fill('Gil')
  await form.getByLabel('Sign-in name').fill(name)
  await form.getByRole('button', { name: 'Add' }).click()
  const told = (await page.getByText('Write this down').textContent())!
  const [, path, code] = /opens \S+?(\/sign-in\S*), .* gives (\S+) within/.exec(told)!

  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })).newPage()
  await phone.goto(path!)
  await phone.getByRole('button', { name: 'I have a one-time code' }).click()
  await phone.getByLabel('Name').fill(name)
  await expect(phone.getByLabel('Shop')).toHaveValue(`harbor-${tail}`)
  await phone.getByLabel('One-time code').fill(code!)
  await phone.getByLabel('New password').fill(password)
  await phone.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(phone.getByRole('link', { name: /New job/ })).toBeVisible()
  await expect(phone.locator('[data-job]'), 'nothing of another shop is in the Bay').toHaveCount(0)
  await phone.goto('/jobs/new')
  await expect(phone.getByText('This shop has no machines yet.')).toBeVisible()

  // somewhere else, with no address: the shop is asked for, and what was typed stays
  const other = await (await browser.newContext()).newPage()
  await other.goto('/sign-in')
  await expect(other.getByLabel('Shop')).toHaveCount(0)
  await other.getByLabel('Name').fill(name)
  await other.getByLabel('Password').fill(password)
  await other.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(other.getByText(/More than one shop on this server has this name/)).toBeVisible()
  await expect(other.getByLabel('Password')).toHaveValue(password)
  await other.getByLabel('Shop').fill('Harbor Works')
  await other.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(other.getByRole('banner')).toContainText('Harbor Works')
  await expect(other.getByRole('link', { name: /New job/ })).toBeVisible()

  await page.getByRole('button', { name: `Close Harbor Works` }).click()
  await page.getByRole('alertdialog').getByRole('button', { name: 'Close shop' }).click()
  await expect(page.getByText(/Closed\. Its records go on/)).toBeVisible()
  await other.goto('/machines')
  await expect(other).toHaveURL(/sign-in/)
})
