import { flushPromises, mount } from '@vue/test-utils'
import { createPinia } from 'pinia'
import PrimeVue from 'primevue/config'
import ConfirmationService from 'primevue/confirmationservice'
import ConfirmPopup from 'primevue/confirmpopup'
import { afterEach, expect, it } from 'vitest'
import { defineComponent, h } from 'vue'
import PersonMenu from './PersonMenu.vue'

/** The header's menu, with so many of one's own answers on this device. */
async function leaving(waiting: number) {
  let left = 0
  const page = mount(
    defineComponent(() => () => [
      h(PersonMenu, { person: 'Tam', waiting, dim: false, practiced: false, onSignOut: () => left++ }),
      h(ConfirmPopup),
    ]),
    { global: { plugins: [PrimeVue, ConfirmationService, createPinia()] }, attachTo: document.body },
  )
  await page.find('button').trigger('click')
  await flushPromises()
  const out = [...document.querySelectorAll<HTMLElement>('[role=menuitem]')].find(i => i.textContent === 'Sign out')!
  out.querySelector<HTMLElement>('.p-menu-item-content')!.click()
  await new Promise(done => setTimeout(done))
  await flushPromises()
  return { page, left: () => left }
}
afterEach(() => {
  document.body.innerHTML = ''
})

it('signs out at once where nothing waits on this device', async () => {
  const { page, left } = await leaving(0)
  expect(left()).toBe(1)
  page.unmount()
})
it('says first how many answers have not reached the shop, and leaves when that is meant', async () => {
  const { page, left } = await leaving(2)
  expect(left()).toBe(0)
  const asked = document.querySelector('[role=alertdialog]')!
  expect(asked.textContent).toContain('2 answers')
  ;[...asked.querySelectorAll('button')].find(b => b.textContent === 'Sign out anyway')!.click()
  expect(left()).toBe(1)
  page.unmount()
})
