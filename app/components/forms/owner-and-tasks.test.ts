import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { fine, shopAnswers } from '~~/tests/support/screens'
import OwnerPick, { type Owner } from './OwnerPick.vue'
import TasksField from './TasksField.vue'

const global = { plugins: [PrimeVue] }
const button = (page: VueWrapper, words: RegExp) => page.findAll('button').find(b => words.test(b.text()))
afterEach(() => vi.unstubAllGlobals())

describe('the owner of a machine', () => {
  const KNOWN = [
    { id: 7, name: 'O. Brackwell', contact: '555 0103', email: '', machines: 3 },
    { id: 8, name: 'O. Brackwell', contact: '', email: '', machines: 1 },
  ]
  async function pick(butId?: number) {
    shopAnswers(() => fine(KNOWN))
    const page = mount(OwnerPick, { props: { modelValue: null, ...(butId === undefined ? {} : { butId }) }, global })
    await flushPromises()
    const owner = () => page.emitted('update:modelValue')!.at(-1)![0] as Owner
    return { page, owner }
  }
  it('a new one is a new one', async () => {
    const { page, owner } = await pick()
    await page.get('input').setValue('Walter Trell')
    expect(owner()).toEqual({ name: 'Walter Trell', contact: '' })
    expect(page.find('[role="status"]').exists()).toBe(false)
  })
  it('who is on record under that name is offered, told from a namesake; nobody is taken unasked', async () => {
    const { page, owner } = await pick()
    await page.get('input').setValue(' o.  brackwell')
    expect(page.findAll('[role="status"]').map(p => p.text())).toEqual([
      expect.stringContaining('O. Brackwell, 555 0103, 3 machines'),
      expect.stringContaining('O. Brackwell, 1 machine'),
    ])
    expect(owner()).toEqual({ name: ' o.  brackwell', contact: '' })
    await button(page, /the one/)!.trigger('click')
    expect(owner()).toEqual({ id: 7 })
  })
  it('a change of owner does not offer the one who has it', async () => {
    const { page } = await pick(7)
    await page.get('input').setValue('O. Brackwell')
    expect(page.findAll('[role="status"]')).toHaveLength(1)
  })
})

describe('what else a visit is for', () => {
  type Tasks = { name: string; needs: string }[]
  const field = () => {
    const page = mount(TasksField, {
      props: {
        'modelValue': [] as Tasks,
        'onUpdate:modelValue': (modelValue: Tasks) => void page.setProps({ modelValue } as object),
      } as never,
      global,
    }) as VueWrapper
    const names = () => (page.props() as unknown as { modelValue: Tasks }).modelValue.map(t => t.name)
    const type = (text: string) => page.get('input').setValue(text)
    return { page, names, type }
  }
  it('what is typed counts though nobody pressed Add, and goes as it is cleared', async () => {
    const { names, type } = field()
    await type('Brake')
    await type('Brake cable')
    expect(names()).toEqual(['Brake cable'])
    await type('')
    expect(names()).toEqual([])
  })
  it('Add makes room for another; the first stays, and can be taken off', async () => {
    const { page, names, type } = field()
    await type('Brake cable')
    await button(page, /^Add/)!.trigger('click')
    expect(page.get<HTMLInputElement>('input').element.value).toBe('')
    await type('Chain')
    expect(names()).toEqual(['Brake cable', 'Chain'])
    await button(page, /^Brake cable/)!.trigger('click')
    expect(names()).toEqual(['Chain'])
  })
  it('one that is there already is there once', async () => {
    const { page, names, type } = field()
    await button(page, /^Oil change/)!.trigger('click')
    await type('Oil change')
    await type('Oil change and filter')
    expect(names()).toEqual(['Oil change', 'Oil change and filter'])
  })
})
