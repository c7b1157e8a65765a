import 'fake-indexeddb/auto'
import { flushPromises, mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { computed, ref, shallowRef } from 'vue'
import { closedArcs, type Engine, inArc } from '~~/core/engine'
import {
  type Happening,
  type JobEvent,
  jobTools,
  movesSomething,
  nextThing,
  offeredWords,
  progress,
  stopHere,
  viewJob,
} from '~~/core/job'
import { locate, type Observation } from '~~/core/position'
import { VirtualHand } from '~~/core/practice'
import { engineOf, LogBook, pinOf } from '~~/tests/support/builders'
import { DEMO_MODELS, demoEngine } from '~~/tests/support/demo-models'
import { newDevice, sessionOf, within } from '~~/tests/support/screens'
import { virtualFor } from '~~/tests/support/whole-job'
import { useSessionStore } from '../stores/session'
import type { OtherHand, useBench } from './useBench'
import { useBenchScreen } from './useBenchScreen'
import { useSide } from './useSide'

type Bench = ReturnType<typeof useBench>
beforeEach(() => {
  newDevice()
  useSessionStore().begin(sessionOf())
})

/** The Bench with its log in memory: each answer is taken at once. */
function benchOf(engine: Engine = engineOf()) {
  const tools = jobTools(pinOf(engine))
  const book = new LogBook()
  const log = shallowRef<JobEvent[]>([])
  const otherHand = ref<OtherHand | null>(null)
  const wanted = ref<string | null>(null)
  const view = computed(() =>
    viewJob(tools, log.value, Date.parse(log.value.at(-1)?.at ?? '2026-11-25T08:00:00Z') + 1000),
  )
  const bench = {
    view,
    log,
    wanted,
    otherHand,
    next: computed(() => nextThing(view.value, wanted.value)),
    steps: computed(() => progress(view.value)),
    failed: ref(null),
    unrecorded: ref(null),
    toSend: ref(0),
    othersWaiting: ref([]),
    lastOwn: computed(
      () => log.value.findLast(e => e.type !== 'retracted' && !view.value.state.retracted.has(e.id)) ?? null,
    ),
    isMovement: (event: JobEvent) => movesSomething(event) || event.type === 'nut-loosened',
    answer: async (happening: Happening) => {
      book.add(happening)
      log.value = [...book.events]
    },
    load: async () => {},
    requirements: computed(() => []),
  } as unknown as Bench
  const { it: screen } = within(() => useBenchScreen(bench, 1))
  return { bench, screen, log, otherHand }
}
type Screen = ReturnType<typeof benchOf>['screen']

/** Presses the key that is true at a virtual engine. @returns false once the job is signed */
async function answerTruly({ bench, screen }: { bench: Bench; screen: Screen }, hand: VirtualHand): Promise<boolean> {
  if (!screen.isOpen.value) return false
  const next = bench.next.value!
  const happening = hand.answer(next)
  const index = next.keys.findIndex(k => JSON.stringify(k.happening) === JSON.stringify(happening))
  expect(index, `a key for ${JSON.stringify(happening)} at ${JSON.stringify(next.instruction)}`).toBeGreaterThanOrEqual(
    0,
  )
  await screen.press(index)
  await flushPromises()
  return true
}
async function until(
  at: { bench: Bench; screen: Screen },
  hand: VirtualHand,
  there: (bench: Bench) => boolean,
): Promise<void> {
  for (let i = 0; i < 120; i++) if (there(at.bench) || !(await answerTruly(at, hand))) return
}

describe('the Bench’s screen', () => {
  it('is worked from cold to signed by its keys, and what it records is what the hand did', async () => {
    const at = benchOf()
    const hand = new VirtualHand(virtualFor(engineOf(), { gapMm: { intake: 0.06, exhaust: 0.12 } }))
    await until(at, hand, () => false)
    expect(at.bench.view.value!.state.status).toBe('closed')
    expect(at.screen.strip.value.map(v => v.verdict)).toEqual(['in', 'in'])
    const trials = at.log.value.filter(e => e.type === 'trial')
    expect(trials.length).toBeGreaterThan(4)
    // a closed job answers no more
    await at.screen.press(0)
    expect(at.log.value.at(-1)!.type).toBe('closed')
  })
  it('a blade taken instead of the one that was asked for is the one that is recorded', async () => {
    const at = benchOf()
    await until(at, new VirtualHand(virtualFor(engineOf())), b => Boolean(b.next.value!.trial))
    const [asked] = at.screen.blades.value!
    at.screen.chooseBlade(1)
    const [taken] = at.screen.blades.value!
    expect(taken).toBeGreaterThan(asked!)
    await at.screen.press(2)
    await flushPromises()
    expect(at.log.value.at(-1)).toMatchObject({ type: 'trial', payload: { bladesMm: [taken], feel: 'pinched' } })
  })
  it('Undo takes an answer back at once, but asks of a movement whether the crank was turned back too', async () => {
    const at = benchOf()
    const hand = new VirtualHand(virtualFor(engineOf()))
    await until(at, hand, b => b.next.value!.step === 'find')
    const before = at.log.value.length
    await at.screen.undo()
    expect(at.log.value.at(-1)).toMatchObject({ type: 'retracted', payload: { how: 'recorded wrongly' } })
    expect(at.log.value).toHaveLength(before + 1)
    await until(at, hand, b => b.next.value!.step === 'find' && b.view.value!.state.noted.length > 0)
    const moved = at.log.value.at(-1)!
    expect(moved.type).toBe('crank')
    await at.screen.undo()
    expect(at.screen.panel.value).toEqual({ kind: 'undo', event: moved })
    expect(at.log.value.at(-1)).toBe(moved)
    await at.screen.retract(moved, 'turned back')
    expect(at.log.value.at(-1)).toMatchObject({ type: 'retracted', payload: { eventId: moved.id, how: 'turned back' } })
    expect(at.screen.panel.value.kind).toBe('keys')
  })
  it('a key that asks for more opens its panel and records nothing', async () => {
    const at = benchOf()
    await until(at, new VirtualHand(virtualFor(engineOf())), b => b.next.value!.keys.some(k => k.asks !== null))
    const index = at.screen.keys.value.findIndex(k => k.asks !== null)
    const before = at.log.value.length
    await at.screen.press(index)
    expect(at.screen.panel.value.kind).not.toBe('keys')
    expect(at.log.value).toHaveLength(before)
    // keys that are not on the screen do nothing
    await at.screen.press(0)
    expect(at.log.value).toHaveLength(before)
  })
  it('while another has the job, the first key looks on and the last takes it over', async () => {
    const at = benchOf()
    at.otherHand.value = { personName: 'Sol', minutes: 3 }
    await flushPromises()
    expect(at.screen.handOver.asked.value!.keys).toHaveLength(2)
    await at.screen.press(0)
    await flushPromises()
    expect(at.log.value).toEqual([])
    expect(at.screen.handOver.asked.value!.keys).toHaveLength(1)
    await at.screen.press(0)
    expect(at.log.value.at(-1)!.type).toBe('taken-over')
    // somebody else's hand is asked about anew
    at.otherHand.value = { personName: 'Mae', minutes: 0 }
    await flushPromises()
    expect(at.screen.handOver.asked.value!.keys).toHaveLength(2)
  })
  it('looking at an answer’s absence moves the picture alone, and ends with the next answer', async () => {
    const at = benchOf()
    const hand = new VirtualHand(virtualFor(engineOf()))
    await until(at, hand, b => b.view.value!.state.noted.some(n => n.observation.kind === 'rocker'))
    at.screen.without.value = at.log.value.findLast(e => e.type === 'crank')!.id
    const chances = (v: typeof at.bench.view.value) => v!.position.arcs.map(a => a.probability.toFixed(2))
    expect(chances(at.screen.pictured.value)).not.toEqual(chances(at.bench.view.value))
    expect(at.screen.pictured.value!.state).toBe(at.bench.view.value!.state)
    await answerTruly(at, hand)
    expect(at.screen.without.value).toBeNull()
  })
})

/** Something that may be told here and cannot be so, with its answer: the first that the core finds to clash. */
function falseAnswer({ bench }: ReturnType<typeof benchOf>): Happening | null {
  const { model, state } = bench.view.value!
  const clashes = (observation: Observation) =>
    locate(model, [...state.noted, { id: 'try', observation }]).clash?.newest.some(n => n.id === 'try') ?? false
  const answers = offeredWords(bench.view.value!).flatMap(o => o.answers.map(a => a.happening))
  return answers.find(a => a.type === 'crank' && clashes(a.payload.observations[0]!)) ?? null
}

/** Tells it, sees that it is caught, and takes the latest back by its key. @returns whether there was one to tell */
async function tellFalsely(at: ReturnType<typeof benchOf>): Promise<boolean> {
  const lie = falseAnswer(at)
  if (!lie) return false
  const before = at.bench.view.value!.state.noted
  await at.bench.answer(lie)
  await flushPromises()
  expect(at.screen.clash.value).not.toBeNull()
  await at.screen.press(at.screen.clashKeys.value.findIndex(k => /Undo the latest/.test(k.title)))
  await flushPromises()
  expect(at.screen.clash.value).toBeNull()
  expect(at.bench.view.value!.state.noted).toEqual(before)
  return true
}

describe.each(DEMO_MODELS)('$model at the Bench', ({ engine }) => {
  it.each([
    ['compression TDC', 0],
    ['exhaust TDC', 360],
    ['anywhere', 507],
  ])('the first stop from %s has closed valves, and a false answer is caught and taken back', async (_, crankDeg) => {
    const at = benchOf(engine)
    const hand = new VirtualHand(demoEngine(engine, {}, crankDeg))
    while (at.bench.next.value!.step === 'ready') await at.bench.answer(hand.answer(at.bench.next.value!))
    const found = (): boolean => at.bench.next.value!.step !== 'find'
    let caught = false
    for (let moves = 0; !found(); moves++) {
      expect(moves).toBeLessThan(15)
      await answerTruly(at, hand)
      caught ||= moves > 1 && (await tellFalsely(at))
    }
    caught ||= await tellFalsely(at)
    expect(caught, 'a false answer was caught').toBe(true)
    const stop = stopHere(at.bench.view.value!)!
    const arcs = closedArcs(engine)
    for (const { valveId } of stop.valves)
      expect(
        arcs[valveId]!.some(arc => inArc(arc, hand.virtual.crankDeg)),
        valveId,
      ).toBe(true)
  })
})

/** A test compiles the panels when they are first read. */
const READ_MS = 20_000
describe('what stands in the keys’ place', () => {
  const sideAt = ({ bench, screen, log }: ReturnType<typeof benchOf>) =>
    within(() =>
      useSide(() => ({
        view: bench.view.value!,
        next: bench.next.value!,
        screen,
        log: log.value,
        jobId: 1,
        isLead: true,
        isDemo: true,
        favourite: null,
        newer: null,
        shortcutsOn: true,
        toggleShortcuts: () => {},
      })),
    ).it
  it('is read when it is asked for, and the keys stay until it is there', async () => {
    const at = benchOf()
    const { side, shown } = sideAt(at)
    expect(shown.value).toBe('keys')
    at.screen.panel.value = { kind: 'more' }
    await vi.waitFor(() => expect(side.value).not.toBeNull(), READ_MS)
    expect(shown.value).toBe('more')
  })
  it('has nothing to show any more: the keys are there again, and answer', async () => {
    const at = benchOf()
    const { shown } = sideAt(at)
    at.screen.panel.value = { kind: 'newer' }
    expect(shown.value).toBe('keys')
    await vi.waitFor(() => expect(at.screen.panel.value.kind).toBe('keys'), READ_MS)
    await at.screen.press(0)
    await flushPromises()
    expect(at.log.value).toHaveLength(1)
  })
  it.each(['more', 'log', 'help', 'evidence', 'reasons', 'school', 'sets', 'wrench', 'ways', 'blade'] as const)(
    '%s says something, leads back, and records nothing by being looked at',
    async kind => {
      const at = benchOf()
      await until(at, new VirtualHand(virtualFor(engineOf())), b => Boolean(b.next.value!.trial))
      const before = at.log.value.length
      const { side: found } = sideAt(at)
      at.screen.panel.value = { kind }
      await vi.waitFor(() => expect(found.value).not.toBeNull(), READ_MS)
      const side = found.value!
      const panel = mount(side.is, { props: side.props, global: { plugins: [PrimeVue] } })
      expect(panel.text().length).toBeGreaterThan(40)
      expect(panel.text()).not.toMatch(/undefined|NaN|\[object/)
      await panel
        .findAll('button')
        .find(b => b.text().startsWith('Back'))!
        .trigger('click')
      expect(at.screen.panel.value.kind).toBe('keys')
      expect(at.log.value).toHaveLength(before)
      panel.unmount()
    },
  )
})
