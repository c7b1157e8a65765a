import { bladePolicy } from '../../core/feeler'
import { nextThing, jobTools, viewJob } from '../../core/job'
import { locate, locateMemory, type Noted, type Observation, observe, openBelief, positionModel } from '../../core/position'
import type { Place } from '../../core/stops'
import { engineOf, METRIC_BLADES, pinOf } from '../../tests/support/builders'
import { truthOf, wholeJob } from '../../tests/support/whole-job'
import { row, times } from './measure'

const T: Place = { kind: 'mark', markIndex: 0 }

/** The judgement's own times on one core. */
export async function benchCore(): Promise<void> {
  const model = positionModel(engineOf({ decompressor: { kind: 'unknown' } }))
  const feel: Observation = { kind: 'rocker', valveId: 'intake', slack: true }
  const turned = observe(model, openBelief(model), { kind: 'move', to: T })
  row('one more feel into the belief', await times(300, () => observe(model, turned, feel)), 'goal ≤ 2')
  row('one more turn', await times(300, () => observe(model, turned, { kind: 'turns', turns: 1, to: T })), 'goal ≤ 5')
  const forty: Noted[] = Array.from({ length: 40 }, (_, i) => ({ id: `n${i}`, observation: i % 4 === 0 ? { kind: 'turns', turns: 1, to: T } : { kind: 'rocker', valveId: i % 2 ? 'intake' : 'exhaust', slack: i % 3 > 0 } }))
  const memory = locateMemory()
  locate(model, forty, { memory })
  row('undo of the last of 40 answers', await times(200, i => locate(model, [...forty.slice(0, 39), { id: `u${i}`, observation: feel }].slice(0, 39), { memory })), 'goal ≤ 15')
  row('the same 40 from the start', await times(50, () => locate(model, forty)), '')
  const clearance = engineOf().clearance.intake
  row('next blade, cold policy', await times(50, () => bladePolicy(METRIC_BLADES, clearance)([])), 'goal ≤ 20')
  const policy = bladePolicy(METRIC_BLADES, clearance)
  row('next blade, from its policy', await times(300, () => policy([{ id: 'a', bladesMm: [0.08], feel: 'free' }])), 'goal ≤ 1')

  const { log } = await wholeJob(engineOf(), truthOf({ gapMm: { intake: 0.1, exhaust: 0.05 } }))
  const tools = jobTools(pinOf())
  let at = 0
  row('answer → fold, place and next instruction', await times(200, () => { at = at % (log.events.length - 1) + 1; nextThing(viewJob(tools, log.events.slice(0, at), Date.UTC(2026, 10, 25, 9))) }), 'goal ≤ 10')
}
