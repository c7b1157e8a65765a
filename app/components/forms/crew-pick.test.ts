import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import PrimeVue from 'primevue/config'
import { beforeEach, expect, it } from 'vitest'
import { useForm } from '../../composables/useForm'
import CrewPick from './CrewPick.vue'

beforeEach(() => setActivePinia(createPinia()))
const CREW = [
  { id: 1, name: 'Ines', hasPin: true },
  { id: 2, name: 'Tam', hasPin: true },
  { id: 3, name: 'Jory', hasPin: false },
]
const shown = () =>
  mount(CrewPick, {
    props: { crew: CREW, form: useForm(), here: 1 },
    global: { plugins: [PrimeVue] },
    attachTo: document.body,
  })
const press = async (page: ReturnType<typeof shown>, name: string) => {
  await page
    .findAll('button')
    .find(b => b.text().startsWith(name))!
    .trigger('click')
  await flushPromises()
}

it('whoever is here already cannot take over from themselves', () => {
  const page = shown()
  expect(page.findAll('button').map(b => b.attributes('disabled') !== undefined)).toEqual([true, false, false])
  page.unmount()
})
it('a tap on a name asks for the PIN, which stands under the finger at once', async () => {
  const page = shown()
  await press(page, 'Tam')
  const field = page.find('input')
  expect(document.activeElement).toBe(field.element)
  await field.setValue('2580')
  await page.find('form').trigger('submit')
  await flushPromises()
  expect(page.emitted('take')).toEqual([[2, '2580']])
  page.unmount()
})
it('another name begins with an empty PIN', async () => {
  const page = shown()
  await press(page, 'Tam')
  await page.find('input').setValue('2580')
  await press(page, 'Jory')
  expect(page.text()).toContain('Jory has no PIN yet')
  await press(page, 'Tam')
  expect(page.find('input').element.value).toBe('')
  page.unmount()
})
it('what is no PIN is said at the field, and not sent', async () => {
  const page = shown()
  await press(page, 'Tam')
  await page.find('input').setValue('12')
  await page.find('form').trigger('submit')
  await flushPromises()
  expect(page.text()).toContain('4 to 8 digits')
  expect(page.emitted('take')).toBeUndefined()
  page.unmount()
})
