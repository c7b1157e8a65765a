import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { jobTools } from '~~/core/job'
import {
  type Act,
  act,
  actSchema,
  beginPractice,
  believedMm,
  feelOf,
  PRACTICE_ENGINES,
  rulesOf,
} from '~~/core/practice'
import type { Tool } from '../../composables/usePractice'
import HandTools from './HandTools.vue'

const kind = PRACTICE_ENGINES[0]!
const [first, second] = kind.engine.valves.map(v => v.id)

/** The bench of a practice engine with one tool in hand; what is done at it is done to the engine. */
function bench(tool: Tool) {
  const run = beginPractice({ kind, level: 1, seed: 7, guidance: 'off' }, drawn => jobTools(drawn.pin))
  const blades = run.drawn.pin.bladeSet.blades.map(b => b.mm)
  const acts: Act[] = []
  const held = { valveId: first!, bladesMm: [blades[4]!] }
  const page: VueWrapper = mount(HandTools, {
    props: {
      ...{ run, tool, ...held, next: null, leads: false, rules: rulesOf(1), bladeIn: false, version: 0 },
      crankDeg: run.drawn.virtual.crankDeg,
      felt: () =>
        feelOf(run.drawn.virtual, {
          kind: 'blade',
          valveId: held.valveId,
          engravedMm: held.bladesMm,
          thickMm: believedMm(run, held.bladesMm),
        }),
      onAct: (doing: Act) => {
        acts.push(doing)
        act(run, doing)
        void page.setProps({ version: acts.length })
      },
      onBlades: (bladesMm: number[]) => void page.setProps(Object.assign(held, { bladesMm })),
      onIn: (bladeIn: boolean) => void page.setProps({ bladeIn }),
      onValve: (valveId: string) => void page.setProps(Object.assign(held, { valveId })),
    },
    global: { plugins: [PrimeVue] },
  })
  return { page, run, acts, blades }
}
/** Lets the blade slide as far as it goes. */
async function slide(page: VueWrapper) {
  await page.get('[data-testid="slide"]').trigger('click')
  for (let ms = 0; ms < 1200; ms += 100) {
    vi.advanceTimersByTime(100)
    await flushPromises()
  }
}
const shown = (page: VueWrapper) => page.props() as { bladeIn: boolean; bladesMm: number[] }
const tap = (page: VueWrapper, where: string) => page.get(where).trigger('click')

beforeEach(() => void vi.useFakeTimers({ toFake: ['requestAnimationFrame', 'cancelAnimationFrame', 'performance'] }))
afterEach(() => void vi.useRealTimers())

describe('a blade at a practice engine', () => {
  it('holds the crank while it is in, and says what was slid', async () => {
    const { page, acts, blades } = bench('blade')
    await slide(page)
    expect(acts).toEqual([{ kind: 'slide', valveId: first, bladesMm: [blades[4]] }])
    expect(shown(page).bladeIn).toBe(true)
    await page.setProps({ tool: 'crank' })
    expect(shown(page).bladeIn, 'laid down with the tool').toBe(false)
  })
  it('is out of one valve when another is turned to', async () => {
    const { page } = bench('blade')
    await slide(page)
    await tap(page, `[data-valve="${second}"]`)
    expect([shown(page).bladeIn, page.find('[data-slid="true"]').exists()]).toEqual([false, false])
  })
  it('one always stays in hand, for a run with none slid in cannot be kept', async () => {
    const { page, acts, blades } = bench('blade')
    await page
      .findAll('button')
      .find(b => b.text().startsWith('Stack'))!
      .trigger('click')
    await tap(page, `[data-blade="${blades[2]}"]`)
    expect(shown(page).bladesMm).toEqual([blades[4], blades[2]])
    await tap(page, `[data-blade="${blades[4]}"]`)
    await tap(page, `[data-blade="${blades[2]}"]`)
    expect(shown(page).bladesMm).toEqual([blades[2]])
    await slide(page)
    for (const doing of acts) expect(actSchema.safeParse(doing).success).toBe(true)
  })
})

describe('the other tools', () => {
  it('a rocker says click or nothing, and is felt again after the crank moved', async () => {
    const { page, run } = bench('rockers')
    expect(page.get(`[data-felt="${first}"]`).text()).toContain('not felt')
    await tap(page, `[data-wiggle="${first}"]`)
    const { slack } = feelOf(run.drawn.virtual, { kind: 'rocker', valveId: first! })
    expect(page.emitted('heard')).toEqual([[slack ? 'click' : 'dead']])
    expect(page.get(`[data-felt="${first}"]`).text()).not.toContain('not felt')
    act(run, { kind: 'turn', deg: 40 })
    await page.setProps({ version: 99 })
    expect(page.get(`[data-felt="${first}"]`).text()).toContain('not felt')
  })
  it('a screw turns only while its nut is not locked', async () => {
    const { page, run } = bench('screw')
    expect(page.get('[data-turn="15"]').attributes('disabled')).toBeDefined()
    await tap(page, '[data-nut-to="loose"]')
    await tap(page, '[data-turn="15"]')
    expect(run.drawn.virtual.screwDeg[first!]).toBeCloseTo(15, 0)
    expect(page.get('[data-screw]').attributes('data-nut')).toBe('loose')
  })
  it('the thermometer’s figure stays until it is read again, and a warm engine may stand an hour', async () => {
    const { page, run, acts } = bench('crank')
    run.drawn.virtual.headC = 60
    await tap(page, '[data-testid="thermometer"]')
    expect(page.get('[data-testid="thermometer"]').text()).toContain('60 °C')
    await page
      .findAll('button')
      .find(b => /hour/.test(b.text()))!
      .trigger('click')
    expect(acts.map(a => a.kind)).toEqual(['warmth', 'wait', 'warmth'])
    expect(run.drawn.virtual.headC).toBeLessThan(60)
  })
})
