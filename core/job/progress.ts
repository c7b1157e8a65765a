import { coldByClock, coolingDown } from './cooling-down'
import { STEPS, type Step } from './steps'
import { asFoundDone, firstOpen, gates, needsSetting } from './requirements'
import { stopHere } from './stop-work'
import { presentReading } from './state'
import { isCold, type JobView, judgeReading } from './view'

/** A step of the Bench: where it stands and a few words about it. */
export interface StepState {
  step: Step
  state: 'done' | 'active' | 'to come'
  words: string
}

const count = (n: number, what: string): string => `${n} ${what}${n === 1 ? '' : 's'}`

function wordsFor(view: JobView, step: Step): string {
  const { state, position, pin } = view
  const valves = state.valves
  switch (step) {
    case 'ready':
      return isCold(view) ? 'Cold' + (state.cameOff.length ? `, ${state.cameOff.length} off` : '') : 'Not yet cold'
    case 'find': {
      const { stops } = view.model.plan
      const here = stopHere(view)
      const which = here && stops.length > 1 ? `Stop ${stops.indexOf(here) + 1} of ${stops.length}` : 'Settled'
      return here ? which : position.standing.kind === 'elsewhere' ? 'Known, turn on' : 'Which stroke?'
    }
    case 'measure':
      return `${valves.filter(v => asFoundDone(view, v)).length} of ${valves.length} valves`
    case 'set': {
      const n = valves.filter(v => needsSetting(view, v)).length
      return n ? `${n} to set` : 'None to set'
    }
    case 'prove':
      return `${valves.filter(v => v.phase === 'proved' && judgeReading(pin, presentReading(v), v.valveId).verdict === 'in').length} of ${count(valves.length, 'valve')}`
    case 'close': {
      const out = state.cameOff.filter(i => !state.wentBack.has(i)).length
      return out ? `${out} to put back` : 'Sign'
    }
  }
}

/** The six steps in order; the active one is where something is still asked for. */
export function progress(view: JobView): StepState[] {
  const all = gates(view)
  const current = firstOpen(all)?.step ?? 'close'
  const done = (step: Step) =>
    all.filter(r => r.step === step).every(r => r.met || r.passed !== null) &&
    STEPS.indexOf(step) < STEPS.indexOf(current)
  return STEPS.map(step => ({
    step,
    words: wordsFor(view, step),
    state: step === current ? 'active' : done(step) ? 'done' : 'to come',
  }))
}

export type BayColumn = 'cooling' | 'ready' | 'bench' | 'prove' | 'done'

/** The Bay's column for a job: from its step, and from whether it is cold. */
export function bayColumn(view: JobView): BayColumn {
  if (view.state.status === 'closed' || view.state.status === 'abandoned') return 'done'
  const step = firstOpen(gates(view))?.step ?? 'close'
  if (step !== 'ready') return step === 'prove' || step === 'close' ? 'prove' : 'bench'
  // by the clock it should be cold by now: the bench still asks to read the head
  return view.state.temperature && !isCold(view) && !coldByClock(coolingDown(view), view.nowMs) ? 'cooling' : 'ready'
}
