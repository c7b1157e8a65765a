import { mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { beforeAll, describe, expect, it } from 'vitest'
import { jobTools, type JobView, type NextThing, nextThing, type Stage, viewJob } from '~~/core/job'
import { engineOf, pinOf } from '~~/tests/support/builders'
import { wholeJob } from '~~/tests/support/whole-job'
import { slotTries } from '../../bench/slot-tries'
import SetStations from './SetStations.vue'
import TurnBar from './TurnBar.vue'

type ScrewStage = Extract<Stage, { kind: 'screw' }>
interface Moment {
  view: JobView
  next: NextThing
  stage: ScrewStage
}

/** Every question of a whole job that is asked at the screw: a creeping lock, both valves out. */
let moments: Moment[] = []
beforeAll(async () => {
  const engine = engineOf()
  const { log } = await wholeJob(engine, { gapMm: { intake: 0.2, exhaust: 0.04 }, creepMm: -0.02 })
  const tools = jobTools(pinOf(engine))
  moments = log.events.flatMap((_, n) => {
    const events = log.events.slice(0, n)
    const view = viewJob(tools, events, Date.parse(events.at(-1)?.at ?? log.events[0]!.at))
    const next = nextThing(view)
    return next.stage.kind === 'screw' ? [{ view, next, stage: next.stage }] : []
  })
})
const valveOf = ({ view, stage }: Moment) => view.state.valves.find(v => v.valveId === stage.valveId)!

describe('the tries on the slot clock', () => {
  it('a screw at the valve closes the gap clockwise: what was loose stands before what was tight', () => {
    const clocks = moments.map(m => slotTries(m.view, valveOf(m), deg => deg))
    expect(Math.max(...clocks.map(c => c.length))).toBeGreaterThan(1)
    for (const tries of clocks) {
      // as found is of the gap before the lock was undone: it says nothing of this round's angles
      const [loose, tight] = (['loose', 'tight'] as const).map(side =>
        tries
          .slice(1)
          .filter(t => t.side === side && Number.isFinite(t.deg))
          .map(t => t.deg),
      )
      if (loose!.length && tight!.length) expect(Math.max(...loose!)).toBeLessThan(Math.min(...tight!))
    }
  })
  it('as found comes first, at the angle where the slot was noted', () => {
    for (const m of moments) {
      const [first] = slotTries(m.view, valveOf(m), deg => 70 + deg)
      expect(first).toMatchObject({ deg: 70, words: 'As found' })
    }
  })
  it('earlier rounds are not on it', () => {
    const later = moments.filter(m => valveOf(m).round > 1)
    for (const m of later)
      expect(slotTries(m.view, valveOf(m), deg => deg)).toHaveLength(
        1 + valveOf(m).tries.filter(t => t.round === valveOf(m).round).length,
      )
  })
})

describe('the way through the lock', () => {
  const drawn = ({ view, stage }: Moment) => mount(SetStations, { props: { view, stage } })
  it('is at the nut first, then at each of its four stations, and never goes past the one it is at', () => {
    const here = moments.map(m =>
      drawn(m)
        .findAll('.stations li')
        .findIndex(li => li.classes('here')),
    )
    expect(here[0]).toBe(0)
    expect(new Set(here)).toEqual(new Set([0, 1, 2, 3]))
  })
  it('says the torque of the spec, with its unit', () =>
    expect(drawn(moments[0]!).text()).toContain(`${engineOf().torques.locknutNm} N·m`))
})

describe('the turn', () => {
  const bar = (m: Moment, turnDeg: number | null) =>
    mount(TurnBar, { props: { view: m.view, stage: m.stage, turnDeg }, global: { plugins: [PrimeVue] } })
  it('is five degrees more or less a tap, and its sign is said', async () => {
    const drawn = bar(moments.at(-1)!, 18)
    expect(drawn.find('output').text()).toBe('+18°')
    for (const button of drawn.findAll('button')) await button.trigger('click')
    expect(drawn.emitted('turn')).toEqual([[13], [23]])
  })
  it('goes to an hour of the clock; what is no hour is said, and nothing is turned', async () => {
    const drawn = bar(moments.at(-1)!, 18)
    await drawn.find('input').setValue('2:30')
    await drawn.find('form').trigger('submit')
    expect(drawn.emitted('point')!.every(([deg]) => deg === 75)).toBe(true)
    const before = drawn.emitted('point')!.length
    await drawn.find('input').setValue('26:00')
    await drawn.find('form').trigger('submit')
    expect(drawn.emitted('point')).toHaveLength(before)
    expect(drawn.find('[role=alert]').text()).not.toBe('')
  })
  it('without one, says what to turn the screw with', () => {
    const drawn = bar(moments[0]!, null)
    expect(drawn.find('form').exists()).toBe(false)
    expect(drawn.text()).toContain(engineOf().tools)
  })
})
