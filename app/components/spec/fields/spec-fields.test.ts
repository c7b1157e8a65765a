import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { afterEach, describe, expect, it } from 'vitest'
import { defineComponent, h, reactive } from 'vue'
import { type Part, plainPart } from '~~/core/access'
import type { Engine, Heads } from '~~/core/engine'
import { z } from '~~/core/zod'
import { engineOf } from '../../../../tests/support/builders'
import { useForm } from '../../../composables/useForm'
import CheckedForm from '../../forms/CheckedForm.vue'
import HeadsFields from './HeadsFields.vue'
import PartsFields from './PartsFields.vue'

const COVER: Part = { ...plainPart('Valve cover'), kind: 'cover', torqueNm: 7 }
const SHROUD: Part = { ...plainPart('Shroud'), torqueNm: 9 }
const TWIN: Engine = engineOf({
  cylinders: [
    { id: 'l', name: 'Left', firingAngleDeg: 0 },
    { id: 'r', name: 'Right', firingAngleDeg: 270 },
  ],
  valves: (['l', 'r'] as const).flatMap(cylinderId =>
    (['intake', 'exhaust'] as const).map(role => ({
      ...engineOf().valves[0]!,
      id: `${cylinderId}-${role}`,
      role,
      cylinderId,
    })),
  ),
})

let page: VueWrapper | null = null
afterEach(() => page?.unmount())
/** A form around the fields, as the pages of the spec book have it. */
function around(fields: (told: { parts: Part[]; heads: Heads | undefined }) => ReturnType<typeof h>) {
  const told = reactive({ parts: [SHROUD, COVER] as Part[], heads: undefined as Heads | undefined, sent: 0 })
  page = mount(
    defineComponent(() => {
      const form = useForm()
      return () =>
        h(CheckedForm, { form, schema: z.unknown(), body: () => told, onSend: () => told.sent++ }, () => fields(told))
    }),
    { attachTo: document.body, global: { plugins: [PrimeVue] } },
  )
  return told
}
const send = async () => {
  await page!.get('form').trigger('submit')
  await flushPromises()
}
const fieldOf = (label: RegExp) => {
  const name = page!.findAll('label').find(l => label.test(l.text()))!
  return page!.get<HTMLInputElement>(`[id="${name.attributes('for')}"]`)
}
const button = (name: RegExp) => page!.findAll('button').find(b => name.test(b.attributes('aria-label') ?? b.text()))!

const partsForm = () =>
  around(told =>
    h(PartsFields, {
      'parts': told.parts,
      'safe': undefined,
      'engine': engineOf(),
      'kind': 'mower',
      'onUpdate:parts': (parts: Part[] | undefined) => (told.parts = parts ?? []),
    }),
  )
const names = (told: { parts: Part[] }) => told.parts.map(p => p.name)

describe('what comes off', () => {
  it('a torque in another unit is kept in N·m', async () => {
    const told = partsForm()
    await button(/^Valve cover/).trigger('click')
    await fieldOf(/^Torque/).setValue('62 lbf·in')
    expect(told.parts[1]!.torqueNm).toBeCloseTo(7, 1)
    await send()
    expect(told.sent).toBe(1)
  })
  it('a figure that cannot be read is not sent as the one that stood there before, and is not lost', async () => {
    const told = partsForm()
    await button(/^Valve cover/).trigger('click')
    await fieldOf(/^Torque/).setValue('7 Nn')
    await send()
    expect(told.sent).toBe(0)
    await button(/^Shroud/).trigger('click')
    expect(page!.text()).toContain('Correct it, or remove the part')
    expect(fieldOf(/^Torque/).element.value).toBe('7 Nn')
    await button(/Valve cover comes off sooner/).trigger('click')
    expect(names(told)).toEqual(['Shroud', 'Valve cover'])
    await fieldOf(/^Torque/).setValue('7.5')
    await send()
    expect([told.sent, told.parts[1]!.torqueNm]).toEqual([1, 7.5])
  })
  it('a part with a figure that cannot be read can still be removed', async () => {
    const told = partsForm()
    await button(/^Valve cover/).trigger('click')
    await fieldOf(/^Held by/).setValue('some bolts, and')
    await button(/^Remove Valve cover/).trigger('click')
    await send()
    expect([names(told), told.sent]).toEqual([['Shroud'], 1])
  })
  it('the form stays with its part when that is moved, and when one before it goes', async () => {
    const told = partsForm()
    await button(/^Valve cover/).trigger('click')
    await button(/Valve cover comes off sooner/).trigger('click')
    expect(names(told)).toEqual(['Valve cover', 'Shroud'])
    expect(fieldOf(/^Name/).element.value).toBe('Valve cover')
    await button(/Shroud comes off sooner/).trigger('click')
    expect(fieldOf(/^Name/).element.value).toBe('Valve cover')
    await button(/^Remove Shroud/).trigger('click')
    expect(fieldOf(/^Name/).element.value).toBe('Valve cover')
  })
})

describe('how the heads stand', () => {
  const V: Heads = {
    layout: 'V',
    intakeSide: 'between',
    angleDeg: 90,
    banks: [
      { name: 'Left', cylinderIds: ['l'] },
      { name: 'Right', cylinderIds: ['r'] },
    ],
  }
  async function headsForm() {
    const told = around(told =>
      h(HeadsFields, {
        'modelValue': told.heads,
        'valves': undefined,
        'engine': TWIN,
        'onUpdate:modelValue': (heads: Heads | undefined) => (told.heads = heads),
      }),
    )
    told.heads = V
    await flushPromises()
    return told
  }
  it('the angle of a V is typed with its sign or without', async () => {
    const told = await headsForm()
    await fieldOf(/^Angle/).setValue('75°')
    await send()
    expect([told.heads?.angleDeg, told.sent]).toEqual([75, 1])
    await fieldOf(/^Angle/).setValue('')
    expect(told.heads && 'angleDeg' in told.heads, 'nothing typed is not told').toBe(false)
  })
  it.each(['6', '190', 'wide'])(
    '“%s” is no V: it is said, and the form is not sent with the one before',
    async typed => {
      const told = await headsForm()
      await fieldOf(/^Angle/).setValue(typed)
      expect(page!.text()).toContain('15° to 179°')
      await send()
      expect([told.sent, told.heads?.angleDeg]).toEqual([0, 90])
      expect(fieldOf(/^Angle/).element.value).toBe(typed)
    },
  )
})
