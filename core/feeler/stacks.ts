import { snapMm } from '../units'
import { type Blade, type BladeSet, JOINT_ERROR_MM, type Leaf, leavesOf, plainBlade } from './blade'

/**
 * One to three leaves on each other: what goes into a gap at once. `engravedMm` names them, `totalMm` is how thick they
 * are.
 */
export interface Stack {
  engravedMm: number[]
  bladesMm: number[]
  totalMm: number
  errorMm: number
  doubt: 'bent' | 'worn' | null
}

/** Error of leaves on each other: theirs in quadrature, plus the joints. mm. */
export const stackErrorMm = (errorsMm: readonly number[]): number =>
  snapMm(Math.hypot(...errorsMm) + (errorsMm.length - 1) * JOINT_ERROR_MM)

/** Leaves as one stack, thickest named first. */
export function stackOf(leaves: readonly Leaf[]): Stack {
  const order = [...leaves].sort((a, b) => b.mm - a.mm)
  return {
    engravedMm: order.map(l => l.engravedMm),
    bladesMm: order.map(l => l.mm),
    totalMm: snapMm(order.reduce((sum, l) => sum + l.mm, 0)),
    errorMm: stackErrorMm(order.map(l => l.errorMm)),
    doubt: (order.find(l => l.condition !== 'good')?.condition ?? null) as Stack['doubt'],
  }
}

/**
 * Whether one stack is the better way to a thickness: a sound one, of fewer leaves, with less error, of thicker leaves.
 */
const better = (a: Stack, b: Stack): boolean => {
  const rank = (s: Stack) => [s.doubt === null ? 0 : 1, s.bladesMm.length, s.errorMm, -s.bladesMm[0]!]
  const [x, y] = [rank(a), rank(b)]
  const i = x.findIndex((v, at) => v !== y[at])
  return i >= 0 && x[i]! < y[i]!
}

/**
 * Every thickness that a set can make, one stack for each, thinnest first. Only sound whole blades are stacked: a bent
 * one does not lie flat, and the heel of a stepped one cannot go in without its tip.
 * @param most blades on each other, 1 to 3
 * @param near thicknesses in mm about which stacks are wanted, within `withinMm`; all where it is left out
 * @returns thickness and error in mm; bent and worn blades stand as single ones, named so
 */
export function stacks(
  set: Pick<BladeSet, 'blades'>,
  most: 1 | 2 | 3 = 2,
  near?: { aboutMm: readonly number[]; withinMm: number },
): Stack[] {
  const leaves = leavesOf(set)
  const whole = leaves.filter(l => l.part === 'whole' && l.condition === 'good')
  const wanted = (mm: number) => !near || near.aboutMm.some(t => Math.abs(t - mm) <= near.withinMm + 1e-9)
  const found = new Map<number, Stack>()
  const take = (stack: Stack) => {
    const known = found.get(stack.totalMm)
    if (!known || better(stack, known)) found.set(stack.totalMm, stack)
  }
  for (const leaf of leaves) take(stackOf([leaf]))
  const grow = (parts: Leaf[], from: number) => {
    for (let i = from; i < whole.length; i++) {
      const more = [...parts, whole[i]!]
      if (more.length > 1 && wanted(snapMm(more.reduce((sum, l) => sum + l.mm, 0)))) take(stackOf(more))
      if (more.length < most) grow(more, i + 1)
    }
  }
  if (most > 1) grow([], 0)
  return [...found.values()].sort((a, b) => a.totalMm - b.totalMm)
}

/** Plain sizes as single blades. */
export const singles = (bladesMm: readonly number[]): Stack[] =>
  stacks({ blades: bladesMm.map((mm): Blade => plainBlade(mm)) }, 1)

/**
 * The set's leaves by their engravings as one stack; a size that the set does not have stands for itself, with a
 * blade's error.
 */
export function stackNamed(set: Pick<BladeSet, 'blades'>, engravedMm: readonly number[]): Stack {
  const leaves = leavesOf(set)
  return stackOf(
    engravedMm.map(mm => leaves.find(l => l.engravedMm === mm) ?? leavesOf({ blades: [plainBlade(mm)] })[0]!),
  )
}
