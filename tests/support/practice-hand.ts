import { wrap } from '../../core/engine'
import type { Happening, NextThing } from '../../core/job'
import { movesCrank } from '../../core/position'
import {
  type Act,
  act,
  beginPractice,
  benchSays,
  isDone,
  type PracticeRun,
  type PracticeStart,
  VirtualHand,
} from '../../core/practice'

/** What a hand does at the engine before it can say what it says. */
function doings(run: PracticeRun, happening: Happening, crankAfterDeg: number): Act[] {
  if (happening.type === 'trial') {
    const { valveId, after, bladesMm } = happening.payload
    const change: Act[] =
      after === null
        ? []
        : after.kind === 'screw'
          ? [{ kind: 'screw', valveId, deg: after.deg }]
          : [{ kind: 'nut', valveId, to: after.kind === 'nipped' ? 'nipped' : 'locked' }]
    return [...change, { kind: 'slide', valveId, bladesMm }]
  }
  if (happening.type === 'decompressor-tested')
    return [{ kind: 'slide', valveId: happening.payload.valveId, bladesMm: happening.payload.bladesMm }]
  if (happening.type === 'prove-turned') return [{ kind: 'turn', deg: 720 }]
  if (happening.type !== 'crank') return []
  const wiggled = happening.payload.observations.flatMap((o): Act[] =>
    o.kind === 'rocker' ? [{ kind: 'wiggle', valveId: o.valveId }] : [],
  )
  const way = wrap(crankAfterDeg - run.drawn.virtual.crankDeg)
  return happening.payload.observations.some(movesCrank) ? [{ kind: 'turn', deg: way < 1 ? 720 : way }] : wiggled
}

/**
 * Plays a practice run by what the Bench says, with a steady hand.
 * @param spoil changes what is done before something is said, and so makes a mistake
 */
export function playByBench(
  start: PracticeStart,
  spoil: (doing: Act[], next: NextThing) => Act[] = doing => doing,
  most = 120,
): PracticeRun {
  const run = beginPractice(start)
  for (let i = 0; i < most; i++) {
    const next = benchSays(run)
    if (isDone(start, next)) return run
    const copy = structuredClone(run.drawn.virtual)
    const happening = new VirtualHand(copy).answer(next)
    const said = happening.type === 'trial' ? { ...happening, payload: { ...happening.payload } } : happening
    for (const doing of spoil(doings(run, happening, copy.crankDeg), next)) act(run, doing)
    act(run, { kind: 'said', type: said.type, payload: said.payload } as Act)
  }
  throw new Error(`Not at its end after ${most} answers`)
}
