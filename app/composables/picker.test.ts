import { flushPromises, mount } from '@vue/test-utils'
import AutoComplete from 'primevue/autocomplete'
import PrimeVue from 'primevue/config'
import { expect, it, vi } from 'vitest'
import { defineComponent, h, ref } from 'vue'
import { newDevice, shopAnswers } from '../../tests/support/screens'
import MachinePick from '../components/forms/MachinePick.vue'

const ROW = { id: 7, name: 'Red', tag: 'M-7', model: 'One', owner: 'A. Owner' }
/** The list goes by a movement, which takes a busy machine longer. */
const PATIENCE = { timeout: 10_000 }
const rested = () => new Promise(done => setTimeout(done, 20))

it('a list whose answer comes after a machine was picked stays shut: it would lie over the button below', async () => {
  newDevice()
  const answers: (() => void)[] = []
  shopAnswers(() => new Promise(done => answers.push(() => done({ status: 200, body: [ROW] }))))
  const picked = ref<unknown>(null)
  const page = mount(
    defineComponent({
      setup: () => () =>
        h(MachinePick, {
          'label': 'The one that stays',
          'butId': 1,
          'modelValue': picked.value as never,
          'onUpdate:modelValue': (value: unknown) => (picked.value = value),
        }),
    }),
    { attachTo: document.body, global: { plugins: [PrimeVue] } },
  )
  const field = page.findComponent(AutoComplete).vm as unknown as {
    search: (event: Event, query: string, source: string) => void
  }
  const asksFor = async (query: string) => {
    field.search(new Event('input'), query, 'input')
    await flushPromises()
  }
  const isOpen = () => document.querySelector('.p-autocomplete-overlay') !== null
  await asksFor('re')
  answers.at(-1)!()
  await vi.waitFor(() => expect(isOpen()).toBe(true), PATIENCE)
  // one more letter is on its way as the row is tapped
  await asksFor('red')
  picked.value = ROW
  await flushPromises()
  answers.at(-1)!()
  await vi.waitFor(() => expect(isOpen()).toBe(false), PATIENCE)
  await rested()
  expect(isOpen(), 'and it stays so').toBe(false)
  page.unmount()
})
