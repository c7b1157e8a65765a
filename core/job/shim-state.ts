import type { ValveState, WorkState } from './state'

/** The shim that is in a valve now: the one fitted last, else the old one, by micrometer before the engraving. mm. */
export const shimIn = ({ shim }: ValveState): number | null =>
  shim.fitted.at(-1)?.mm ?? shim.measuredMm ?? shim.engravedMm

/** Whether this valve got its shim while the cam is out this time, and was not measured with it yet. */
export const fittedHere = ({ camOut }: Pick<WorkState, 'camOut'>, valve: ValveState): boolean =>
  camOut &&
  valve.phase === 'torqued' &&
  valve.shim.fitted.length > 0 &&
  !valve.readings.some(r => r.phase === 'torqued' && r.round === valve.round && r.trials.length > 0)
