import { mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { afterEach, describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import DayField from './DayField.vue'

const field = (modelValue = '') =>
  mount(DayField, {
    attachTo: document.body,
    global: { plugins: [PrimeVue] },
    props: { 'label': 'Day', modelValue, 'onUpdate:modelValue': (day: string) => page.setProps({ modelValue: day }) },
  })
let page: ReturnType<typeof field>
/** Types it and goes on to the next field: what the form has then, and what the field shows. */
async function type(text: string) {
  const input = page.find<HTMLInputElement>('input')
  await input.setValue(text)
  await input.trigger('blur')
  await nextTick()
  return { form: page.props('modelValue'), shown: input.element.value }
}

describe('a day', () => {
  afterEach(() => page.unmount())
  it.each([
    ['5/1/2027', '2027-05-01'],
    ['5-1-27', '2027-05-01'],
    ['May 1, 2027', '2027-05-01'],
    ['2027-05-01', '2027-05-01'],
    ['12/31/2026', '2026-12-31'],
    ['31/12/2026', '2026-12-31'],
  ])('is read as an American writes it: %s', async (text, day) => {
    page = field()
    expect(await type(text)).toEqual({ form: day, shown: day })
  })
  it.each(['next May', '2/30/2027', '5/1'])(
    'what is none stays as it was typed, for the form to say so: %s',
    async text => {
      page = field('2026-11-29')
      expect(await type(text)).toEqual({ form: text, shown: text })
    },
  )
  it('emptied, it is none', async () => {
    page = field('2026-11-29')
    expect(await type('')).toEqual({ form: '', shown: '' })
  })
})
