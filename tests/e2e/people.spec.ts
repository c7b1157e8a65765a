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
