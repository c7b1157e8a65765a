import { type Said, say } from '../said'
import { coldByClock, coolingDown } from './cooling-down'
import { asFoundDone, firstOpen, gates, needsSetting } from './requirements'
import { presentReading, type ValveState } from './state'
import { type Step, STEPS } from './steps'
import { stopHere } from './stop-work'
import { isCold, type JobView, judgeReading } from './view'

/** A step of the Bench: where it stands and a few words about it. */
export interface StepState {
  step: Step
  state: 'done' | 'active' | 'to come'
  words: Said
}

function wordsFor(view: JobView, step: Step): Said {
  const { state, position, pin } = view
  const valves = state.valves
  switch (step) {
    case 'ready':
      return isCold(view) ? say('step.cold', { off: state.cameOff.length }) : say('step.not-cold')
    case 'find': {
      const { stops } = view.model.plan
      const here = stopHere(view)
      if (here && stops.length > 1) return say('step.stop', { stop: stops.indexOf(here) + 1, of: stops.length })
      if (here) return say('step.settled')
      return position.standing.kind === 'elsewhere' ? say('step.known') : say('step.which-stroke')
    }
    case 'measure':
      return say('step.measured', { done: valves.filter(v => asFoundDone(view, v)).length, of: valves.length })
    case 'set':
      return say('step.to-set', { valves: valves.filter(v => needsSetting(view, v)).length })
    case 'prove': {
      const isIn = (v: ValveState) => judgeReading(pin, presentReading(v), v.valveId).verdict === 'in'
      const done = valves.filter(v => v.phase === 'proved' && isIn(v)).length
      return say('step.proved', { done, of: valves.length })
    }
    case 'close':
      return say('step.to-put-back', { parts: state.cameOff.filter(i => !state.wentBack.has(i)).length })
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
