import { mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { describe, expect, it } from 'vitest'
import { reactive } from 'vue'
import { emptySpec, parseCamMarks, parseMarks, type SpecText } from '~~/core/spec-book'
import MarkLooks from './MarkLooks.vue'

const looksOf = (told: Partial<SpecText>) => {
  const spec = reactive({ ...emptySpec(), ...told })
  const page = mount(MarkLooks, { props: { spec }, global: { plugins: [PrimeVue] } })
  return { spec, page }
}
const choose = (page: ReturnType<typeof looksOf>['page'], of: string, value: string) =>
  page.find(`${of} input[value="${value}"]`).setValue(true)

describe('what a mark looks like, chosen from drawings', () => {
  it('is written behind its angle, and what was typed of the others stays', async () => {
    const { spec, page } = looksOf({ marks: 'T 0, F 346' })
    await choose(page, '[data-mark="T"]', 'dot')
    expect(parseMarks(spec.marks)).toMatchObject([
      { letter: 'T', angleDeg: 0, shape: 'dot' },
      { letter: 'F', angleDeg: 346, kind: 'fire' },
    ])
  })
  it('and takes nothing of what the mark is for: a front top mark stays one', async () => {
    const { spec, page } = looksOf({ marks: 'F T 0 (top)' })
    await choose(page, '[data-mark="F T"]', 'hole')
    expect(parseMarks(spec.marks)).toEqual([{ letter: 'F T', angleDeg: 0, kind: 'top', shape: 'hole' }])
  })
  it('and through which plug it is seen: brackets and commas in its name do not end it', async () => {
    const { spec, page } = looksOf({ marks: 'T 0' })
    await page.find('.one .field input').setValue('the upper cap (left, front)')
    expect(parseMarks(spec.marks)[0]!.through?.replaceAll(/\s+/g, ' ').trim()).toBe('the upper cap left front')
  })
  it('a cam sign has its picture', async () => {
    const { spec, page } = looksOf({ camMarks: 'the two dots face each other 0' })
    await choose(page, '[data-sign="1"]', 'dots face')
    expect(parseCamMarks(spec.camMarks)).toEqual([
      { words: 'the two dots face each other', angleDeg: 0, picture: 'dots face' },
    ])
  })
  it('nothing is offered for what cannot be read', () =>
    expect(looksOf({ marks: 'T' }).page.find('.looks').exists()).toBe(false))
})
