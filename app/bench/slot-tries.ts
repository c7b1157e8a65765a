import { type JobView, judgeReading, readingIn, type ValveState } from '~~/core/job'
import { t } from '../words'

/** Something tried with the slot at an angle of the clock, and on which side of its limits it lay. */
export interface SlotTry {
  deg: number
  side: 'loose' | 'tight' | 'in' | 'unproved'
  words: string
}

const side = (verdict: string): SlotTry['side'] =>
  verdict === 'tight' || verdict === 'loose' || verdict === 'in' ? verdict : 'unproved'

/**
 * What was tried at which angle of the slot, for the clock: as found, and this round's tries. Earlier rounds are told
 * beside the dial: a lock moves what an angle means.
 * @param onClock an angle of the screw as one of the clock
 */
export function slotTries({ pin }: JobView, valve: ValveState, onClock: (screwDeg: number) => number): SlotTry[] {
  const found = readingIn(valve, 'as found')
  const first: SlotTry[] = found
    ? [{ deg: onClock(0), side: side(judgeReading(pin, found, valve.valveId).verdict), words: t('common.as-found') }]
    : []
  const ofRound = valve.tries
    .filter(tried => tried.round === valve.round)
    .map(({ trials, screwDeg }): SlotTry => {
      const { verdict } = judgeReading(pin, { trials, phase: 'before lock' }, valve.valveId)
      const last = trials.at(-1)!
      return {
        deg: onClock(screwDeg),
        side: verdict === 'unproved' ? (last.feel === 'free' ? 'loose' : 'tight') : side(verdict),
        words: `${last.name?.replace(/ \(.*/, '') ?? ''} ${t(`feel.${last.feel}`).toLowerCase()}`,
      }
    })
  return [...first, ...ofRound]
}
