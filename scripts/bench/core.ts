import type { Engine, Place } from '../../core/engine'
import { jobTools, nextThing, viewJob } from '../../core/job'
import {
  adviseBySearch,
  effectsOf,
  locate,
  locateMemory,
  type Noted,
  type Observation,
  positionModel,
  questions,
} from '../../core/position'
import { planStops, schoolsFor } from '../../core/stops'
import { engineOf, pinOf } from '../../tests/support/builders'
import { fourOf, twinOf } from '../../tests/support/engines'
import { wholeJob } from '../../tests/support/whole-job'
import { row, times } from './measure'

const T: Place = { kind: 'mark', markIndex: 0 }

/** Places of the crank on a twin, each with what was felt there: forty answers with a turn at every fourth. */
const fortyOn = (engine: Engine): Noted[] =>
  Array.from({ length: 40 }, (_, i) => ({
    id: `n${i}`,
    observation:
      i % 4 === 0
        ? { kind: 'turns', turns: 1, to: T }
        : { kind: 'rocker', valveId: engine.valves[i % 4]!.id, slack: (i >> 2) % 2 === i % 2 },
  }))

/**
 * Position on one kind of twin: each answer through `locate` with all that it gives, snapshots kept as at the bench.
 */
async function benchPosition(name: string, engine: Engine): Promise<void> {
  const model = positionModel(engine)
  const forty = fortyOn(engine)
  const begun = forty.slice(0, 5)
  const memory = locateMemory()
  locate(model, begun, { memory })
  const feel: Observation = { kind: 'rocker', valveId: engine.valves[3]!.id, slack: true }
  row(
    `${name}: one more feel into locate`,
    await times(200, i => locate(model, [...begun, { id: `f${i}`, observation: feel }], { memory })),
    { atMost: 2 },
  )
  row(
    `${name}: one more turn into locate`,
    await times(200, i =>
      locate(model, [...begun, { id: `t${i}`, observation: { kind: 'turns', turns: 1, to: T } }], { memory }),
    ),
    { atMost: 5 },
  )
  const long = locateMemory()
  locate(model, forty, { memory: long })
  row(
    `${name}: undo of the last of 40 answers`,
    await times(200, () => locate(model, forty.slice(0, 39), { memory: long })),
    { atMost: 15 },
  )
  const position = locate(model, begun, { memory })
  row(`${name}: next move by weighing (in a worker)`, await times(30, () => adviseBySearch(model, position, begun)), {
    atMost: 120,
  })
  row(`${name}: what would tell most`, await times(30, () => questions(model, position.belief, begun)))
  row(`${name}: what each of 40 answers did`, await times(20, () => effectsOf(model, forty, long)))
}

/** The judgement's own times on one core. */
export async function benchCore(): Promise<void> {
  await benchPosition('180° twin', twinOf(180))
  await benchPosition('twin, decompressor not known', twinOf(270, { decompressor: { kind: 'unknown' } }))
  const four = fourOf()
  row(
    'plan for four cylinders, all schools',
    await times(50, () => schoolsFor(four).map(school => planStops(four, school))),
    { atMost: 20 },
  )
  const { log } = await wholeJob(engineOf(), { gapMm: { intake: 0.1, exhaust: 0.05 } })
  const tools = jobTools(pinOf())
  let at = 0
  row(
    'answer → fold, place and next instruction',
    await times(200, () => {
      at = (at % (log.events.length - 1)) + 1
      nextThing(viewJob(tools, log.events.slice(0, at), Date.UTC(2026, 10, 25, 9)))
    }),
    { atMost: 10 },
  )
}
