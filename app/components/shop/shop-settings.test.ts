import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { describe, expect, it } from 'vitest'
import { sessionOf } from '~~/tests/support/screens'
import { useForm } from '../../composables/useForm'
import ShopIdentity from './ShopIdentity.vue'
import ShopWays from './ShopWays.vue'

const global = { plugins: [PrimeVue] }
const SHOP = { ...sessionOf().shop, name: 'Quay Works', timeZone: 'Etc/UTC' }
const choice = (page: VueWrapper, label: string) =>
  page.findAllComponents({ name: 'ChoiceField' }).find(c => (c.props('label') as string).startsWith(label))!
const choose = async (page: VueWrapper, label: string, value: unknown) => {
  choice(page, label).vm.$emit('update:modelValue', value)
  await flushPromises()
}

describe('what the shop is called, and by which clock and unit it goes', () => {
  const open = (shop = SHOP) => mount(ShopIdentity, { props: { shop, form: useForm() }, global })
  const send = async (page: VueWrapper) => {
    await page.get('form').trigger('submit')
    await flushPromises()
    return page.emitted('settle')?.at(-1)?.[0]
  }
  it('is sent with what it was made from', async () => {
    const page = open()
    await page.get('input[name="name"]').setValue('Quay Works Two')
    expect(await send(page)).toMatchObject({ name: 'Quay Works Two', unit: 'mm', was: { name: 'Quay Works' } })
  })
  it('without a name is not sent, and says so beside it', async () => {
    const page = open()
    await page.get('input[name="name"]').setValue('  ')
    expect(await send(page)).toBeUndefined()
    expect(page.text()).toContain('Give the shop’s name.')
  })
  it('follows another lead where nothing was typed, and keeps what was', async () => {
    const page = open()
    await page.get('input[name="name"]').setValue('Quay Works Two')
    await page.setProps({ shop: { ...SHOP, name: 'Quay', unit: 'thou', language: 'es' } })
    expect(await send(page)).toMatchObject({
      ...{ name: 'Quay Works Two', unit: 'thou', language: 'es', was: { name: 'Quay' } },
    })
  })
})

describe('the shop’s ways', () => {
  const open = (shop = SHOP) => mount(ShopWays, { props: { shop, wrong: () => undefined }, global })
  const settled = (page: VueWrapper) => page.emitted('settle')?.map(([ways]) => ways)

  it('each is kept by itself, as it is chosen', async () => {
    const page = open()
    await choose(page, 'Set valves to', 'loose')
    await choose(page, 'The valves', 90)
    expect(settled(page)).toEqual([{ target: 'loose' }, { valveMinutes: 90 }])
  })
  it('no preferred method is none, and none is shown where there is none', async () => {
    const page = open()
    expect(choice(page, 'Preferred method').props('modelValue')).toBe('none')
    await choose(page, 'Preferred method', 'none')
    expect(settled(page)).toEqual([{ favouriteSchool: null }])
  })
  it('a length of work that the shop settled elsewhere stands among those to choose from', () => {
    const lengths = choice(open({ ...SHOP, taskMinutes: 25 }), 'Another').props('options') as { value: number }[]
    expect(lengths.map(l => l.value)).toEqual([10, 15, 20, 25, 30, 45, 60])
  })
  it('what the shop refuses stands at its field', () => {
    const wrong = (field: string) => (field === 'target' ? 'Choose where in the limits valves are set.' : undefined)
    const page = mount(ShopWays, { props: { shop: SHOP, wrong }, global })
    expect(page.text()).toContain('Choose where in the limits valves are set.')
  })
})
