import type { Clearance } from '../../core/engine'
import {
  bladePolicy,
  type BladeSet,
  bladeSetSchema,
  type Feel,
  FEELS,
  judge,
  knownEnough,
  type Stack,
  stacks,
  targetOf,
  type Trial,
  trialStacks,
} from '../../core/feeler'
import { mmFromThou, snapMm } from '../../core/units'
import { firstTimeRight } from '../../tests/support/creeping-locks'
import { row, times } from './measure'

const set = (name: string, bladesMm: number[]): BladeSet => bladeSetSchema.parse({ name, unit: 'mm', bladesMm })
const SETS = [
  set('metric, 13 blades', [0.03, 0.04, 0.05, 0.06, 0.08, 0.1, 0.13, 0.15, 0.18, 0.2, 0.23, 0.25, 0.3]),
  set(
    'metric, 20 by 0.05',
    Array.from({ length: 20 }, (_, i) => snapMm((i + 1) * 0.05)),
  ),
  set('thou, 12 blades', [1.5, 2, 2.5, 3, 4, 5, 6, 7, 8, 9, 10, 12].map(mmFromThou)),
]
const limits = (minMm: number, maxMm: number): Clearance => ({
  form: 'limits',
  minMm,
  maxMm,
  text: `${minMm}–${maxMm}`,
  unit: 'mm',
})
const SPECS: Clearance[] = [
  limits(0.08, 0.12),
  limits(0.1, 0.15),
  limits(0.17, 0.22),
  limits(0.03, 0.11),
  { form: 'bare', figureMm: 0.1, text: '0.10', unit: 'mm' },
]

const feelAt = (gap: number, t: number): Feel =>
  gap < snapMm(t - 0.01) ? 'no-go' : gap < t ? 'pinched' : gap < snapMm(t + 0.015) ? 'drag' : 'free'
const trial = (stack: Stack, feel: Feel): Trial => ({ id: '', bladesMm: [stack.totalMm], feel })

/** Gaps with their chances: a bell about the target with a floor, as the policy expects. */
function gapsFor(clearance: Clearance): { gap: number; weight: number }[] {
  return Array.from({ length: 120 }, (_, i) => snapMm((i + 0.5) * 0.0025)).map(gap => ({
    gap,
    weight: Math.exp(-0.5 * ((gap - targetOf(clearance)) / 0.05) ** 2) + 0.02,
  }))
}
const mean = (clearance: Clearance, used: (gap: number) => number): number => {
  const gaps = gapsFor(clearance)
  return gaps.reduce((sum, g) => sum + g.weight * used(g.gap), 0) / gaps.reduce((sum, g) => sum + g.weight, 0)
}
/** Whether nothing more is to be found out with these thicknesses. */
function done(made: Trial[], choices: Stack[], clearance: Clearance): boolean {
  const { verdict, reading } = judge(made, clearance)
  const narrower = choices.some(c => c.totalMm > reading.loMm && (reading.hiMm === null || c.totalMm < reading.hiMm))
  return verdict === 'in' || !narrower || (verdict !== 'unproved' && knownEnough(reading))
}

/** What many do: from the thinnest blade up until one is refused. */
function steppingUp(choices: Stack[], clearance: Clearance): number {
  return mean(clearance, gap => {
    const at = choices.findIndex(c => feelAt(gap, c.totalMm) === 'no-go' || feelAt(gap, c.totalMm) === 'pinched')
    return at < 0 ? choices.length : at + 1
  })
}
/** The least that any strategy needs, over every thickness that the set and its stacks of two have near the spec. */
function least(choices: Stack[], clearance: Clearance): number {
  const gaps = gapsFor(clearance)
  const memory = new Map<string, number>()
  const best = (made: Trial[], alive: { gap: number; weight: number }[]): number => {
    if (done(made, choices, clearance)) return 0
    const key = made.map(t => `${t.bladesMm[0]}${t.feel}`).join()
    const known = memory.get(key)
    if (known !== undefined) return known
    const { reading } = judge(made, clearance)
    const total = alive.reduce((sum, g) => sum + g.weight, 0)
    let lowest = Infinity
    for (const choice of choices) {
      if (choice.totalMm <= reading.loMm || (reading.hiMm !== null && choice.totalMm >= reading.hiMm)) continue
      let cost = 1
      for (const feel of FEELS) {
        const left = alive.filter(g => feelAt(g.gap, choice.totalMm) === feel)
        if (left.length)
          cost +=
            (left.reduce((sum, g) => sum + g.weight, 0) / total) * best(extremes([...made, trial(choice, feel)]), left)
      }
      lowest = Math.min(lowest, cost)
    }
    memory.set(key, lowest)
    return lowest
  }
  return best([], gaps)
}
/** Only the thickest that went and the thinnest refused bear on a verdict. */
function extremes(made: Trial[]): Trial[] {
  const went = made.filter(t => t.feel === 'free' || t.feel === 'drag').sort((a, b) => b.bladesMm[0]! - a.bladesMm[0]!)
  const refused = made
    .filter(t => t.feel === 'pinched' || t.feel === 'no-go')
    .sort((a, b) => a.bladesMm[0]! - b.bladesMm[0]!)
  return [...went.slice(0, 1), ...refused.slice(0, 1)]
}
function byPolicy(choices: Stack[], clearance: Clearance): number {
  const policy = bladePolicy(choices, clearance)
  return mean(clearance, gap => {
    const made: Trial[] = []
    for (let advice = policy(made); advice && made.length < 12; advice = policy(made))
      made.push({ ...trial(advice.stack, feelAt(gap, advice.stack.totalMm)), id: String(made.length) })
    return made.length
  })
}

/** Expected trials of a valve: by the policy, stepping up blade by blade, and the least that is possible. */
export async function benchBlades(): Promise<void> {
  const big = set(
    '32 blades',
    Array.from({ length: 32 }, (_, i) => snapMm(0.03 + i * 0.01)),
  )
  row(
    'next blade, 32 blades with stacks of two, cold',
    await times(50, () => bladePolicy(trialStacks(big, SPECS[0]!), SPECS[0]!)([])),
    { atMost: 20 },
  )
  const policy = bladePolicy(trialStacks(big, SPECS[0]!), SPECS[0]!)
  policy([])
  row(
    'next blade, 32 blades, from its policy',
    await times(300, () => policy([{ id: 'a', bladesMm: [0.08], feel: 'free' }])),
    { atMost: 1 },
  )
  console.warn(`\n${'expected trials'.padEnd(22)}${'spec'.padEnd(14)}stepping up   policy   least   policy/least`)
  for (const blades of SETS)
    for (const spec of SPECS) {
      const choices = trialStacks(blades, spec)
      const [up, ours, best] = [steppingUp(stacks(blades, 1), spec), byPolicy(choices, spec), least(choices, spec)]
      console.warn(
        `${blades.name.padEnd(22)}${spec.text.padEnd(14)}${up.toFixed(2).padStart(11)}${ours.toFixed(2).padStart(9)}${best.toFixed(2).padStart(8)}${(ours / best).toFixed(3).padStart(15)}`,
      )
    }
  const { before, after, learnedMm } = firstTimeRight(20261125)
  console.warn(
    `\nlocks right the first time: ${(before * 100).toFixed(0)} % before, ${(after * 100).toFixed(0)} % after twenty locks (learned ${learnedMm.toFixed(3)} mm)\n`,
  )
}
