import { mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import ConfirmationService from 'primevue/confirmationservice'
import ConfirmPopup from 'primevue/confirmpopup'
import { expect, it } from 'vitest'
import { defineComponent, h, nextTick } from 'vue'
import EndButton from './EndButton.vue'

const buttons = () => [...document.querySelectorAll<HTMLButtonElement>('.p-confirmpopup button')]
async function asked() {
  let ended = 0
  const page = mount(
    defineComponent(() => () => [
      h(EndButton, { label: 'Remove', ask: 'New jobs won’t offer it.', onEnd: () => ended++ }),
      h(ConfirmPopup),
    ]),
    { global: { plugins: [PrimeVue, ConfirmationService] }, attachTo: document.body },
  )
  await page.find('button').trigger('click')
  await nextTick()
  await nextTick()
  return { page, ended: () => ended }
}

it('ends nothing by the first tap: it says what that would mean, and asks', async () => {
  const { page, ended } = await asked()
  expect(document.querySelector('.p-confirmpopup')!.textContent).toContain('New jobs won’t offer it.')
  expect(ended()).toBe(0)
  buttons()
    .find(b => b.textContent === 'Remove')!
    .click()
  expect(ended()).toBe(1)
  page.unmount()
})

it('ends nothing where it is left', async () => {
  const { page, ended } = await asked()
  buttons()
    .find(b => b.textContent === 'Leave it')!
    .click()
  expect(ended()).toBe(0)
  page.unmount()
})
