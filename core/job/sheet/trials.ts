import { latestTrials, thickness, type Trial } from '../../feeler'
import { formatLength } from '../../units'
import type { Reading } from '../state'

/** A trial’s blades by their engravings. */
export const nameOf = (t: Trial): string => t.name ?? formatLength(thickness(t), 'mm')
/** The trials that count: a blade that was tried again says what it said last. */
export const trialsOf = (reading: Reading) =>
  latestTrials(reading.trials).map(t => ({ blades: nameOf(t), feel: t.feel }))
