import { latestTrials, type Trial, trialWords } from '../../feeler'
import type { Tell } from '../../said'
import type { Phase, Reading, ValveState } from '../state'
import { type JobView, judgeReading } from '../view'
import type { SheetRound } from './content'

const listWords = (trials: Trial[], tell: Tell): string => latestTrials(trials).map(trialWords).map(tell).join(', ')

/** Each angle of the screw that was tried; what followed a lock stands on the last of its round. */
export function roundsOf({ pin }: Pick<JobView, 'pin'>, valve: ValveState, tell: Tell): SheetRound[] {
  const inRound = (phase: Phase, round: number) =>
    valve.readings.find(r => r.phase === phase && r.round === round && r.trials.length > 0)
  const words = (reading: Reading | undefined) => (reading ? listWords(reading.trials, tell) : '')
  return valve.tries.map((attempt, i) => {
    const lastOfRound = valve.tries[i + 1]?.round !== attempt.round
    const nipped = lastOfRound ? inRound('nipped', attempt.round) : undefined
    const torqued = lastOfRound ? inRound('torqued', attempt.round) : undefined
    const last = torqued ?? nipped ?? { trials: attempt.trials, phase: 'before lock' as const }
    const move = valve.moves.findLast(m => m.round === attempt.round && m.screwDeg === attempt.screwDeg)
    return {
      round: attempt.round,
      screwDeg: attempt.screwDeg,
      turnedDeg: move?.deg ?? null,
      beforeLock: listWords(attempt.trials, tell),
      nipped: words(nipped),
      torqued: words(torqued),
      verdict: judgeReading(pin, last, valve.valveId).verdict,
    }
  })
}
