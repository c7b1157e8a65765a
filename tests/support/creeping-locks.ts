import { aimBeforeLock, type Lock, lockOf, lockShift } from '../../core/adjuster'
import type { Clearance } from '../../core/engine'
import {
  bladePolicy,
  bladeSetSchema,
  settingBlade,
  type Stack,
  targetOf,
  type Trial,
  trialStacks,
} from '../../core/feeler'
import { randomOf } from '../../core/practice'
import { METRIC_BLADES } from './builders'
import { judge } from './told'

const CLEARANCE: Clearance = { form: 'limits', minMm: 0.1, maxMm: 0.14, text: '', unit: 'mm' }
/** This screw follows its nut: it closes the gap by so much, give or take. */
const CREEP_MM = -0.028
const SCATTER_MM = 0.006

const CHOICES = trialStacks(bladeSetSchema.parse({ name: 'A', unit: 'mm', bladesMm: METRIC_BLADES }), CLEARANCE)
const POLICY = bladePolicy(CHOICES, CLEARANCE)

const feel = (gap: number, { totalMm: t, bladesMm }: Stack, id: number): Trial => ({
  id: String(id),
  bladesMm,
  feel: gap < t - 0.01 ? 'no-go' : gap < t ? 'pinched' : gap < t + 0.015 ? 'drag' : 'free',
})

/** Sets a screw to the drag of a blade, locks it, and reads it: what was believed of the lock decides the blade. */
function setAndLock(known: readonly Lock[], random: () => number): { right: boolean; lock: number | null } {
  const shift = lockShift(known, { personId: 1, modelId: 1 })
  const aimMm = aimBeforeLock(targetOf(CLEARANCE), shift)
  const blade = settingBlade(CHOICES, CLEARANCE, { aimMm, shiftMm: shift?.shiftMm ?? 0 })!
  const before = blade.totalMm + random() * 0.015
  const after = before + CREEP_MM + (random() + random() - 1) * SCATTER_MM
  const read = (gap: number): Trial[] => {
    const made: Trial[] = []
    for (let advice = POLICY(made); advice && made.length < 9; advice = POLICY(made))
      made.push(feel(gap, advice.stack, made.length))
    return made
  }
  const torqued = judge(read(after), CLEARANCE)
  return {
    right: torqued.verdict === 'in',
    lock: lockOf(judge([feel(before, blade, 0)], CLEARANCE).reading, torqued.reading),
  }
}

/** The share of locks that are right the first time: over many without anything learned, and over many after twenty. */
export function firstTimeRight(seed: number, trials = 300): { before: number; after: number; learnedMm: number } {
  const random = randomOf(seed)
  const known: Lock[] = []
  for (let made = 0; made < 20; made++) {
    const { lock } = setAndLock([], random)
    if (lock !== null) known.push({ shiftMm: lock, personId: 1, modelId: 1 })
  }
  const share = (locks: readonly Lock[]) =>
    Array.from({ length: trials }, () => setAndLock(locks, random).right).filter(Boolean).length / trials
  return {
    before: share([]),
    after: share(known),
    learnedMm: lockShift(known, { personId: 1, modelId: 1 })?.shiftMm ?? 0,
  }
}
