import type { Clearance } from '../engine'
import { snapMm } from '../units'
import type { BladeSet } from './blade'
import { BARE_FIGURE_NEAR_MM, bladeOfFigure, limitsOf, spanOf, targetOf } from './clearance'
import { clearanceInterval, type Interval, latestTrials } from './interval'
import { type JudgeOptions, verdictOf } from './judge'
import { type Stack, stacks } from './stacks'
import { type Feel, FEELS, type HandBands, thickness, type Trial, trialErrorMm, USUAL_HAND, went } from './trial'

/**
 * What is expected of a clearance before it is measured: a bell about the last as-left reading, or broad about the
 * target. mm.
 */
export interface ClearancePrior {
  meanMm: number
  sigmaMm: number
}
/** As found after a whole interval, most valves are this near to their target. From memory. */
const BROAD_SIGMA_MM = 0.05
/**
 * A valve that is out is measured to an interval no wider than this, or as narrow as the set allows. Wider ones cost a
 * turn of the screw more than the blade that they save, by the robot.
 */
const OUT_READING_WIDTH_MM = 0.04
/** A shim is bought by its reading; and where no blade went yet, whether any goes is told by the thinnest. */
const FINE_READING_WIDTH_MM = 0.03

/** Whether a valve that is out is known as narrowly as serves its screw or shim, and the history. */
export const knownEnough = ({ loMm, hiMm }: Interval, byShim = false): boolean =>
  hiMm !== null && snapMm(hiMm - loMm) <= (byShim || loMm <= 0 ? FINE_READING_WIDTH_MM : OUT_READING_WIDTH_MM)
/** So many thicknesses near the limits are enough to choose from. */
const CANDIDATES = 24
/** Half of what a good blade may be off by: a finer one changes no choice. */
const GRID_MM = 0.0025
/** A stack is asked for only where it saves a whole expected trial for each joint. */
const JOINT_COST = 1
/** A stack this near to a thickness that is there already tells nothing more. */
const SAME_MM = 0.004

/** What is expected of a valve of which nothing is known yet: about its spec, widely. */
export const broadPrior = (clearance: Clearance): ClearancePrior => ({
  meanMm: targetOf(clearance),
  sigmaMm: BROAD_SIGMA_MM,
})

export interface BladeAdvice {
  stack: Stack
  /** Trials still expected to a verdict, this one included. */
  expectedTrials: number
}

/** The state a verdict rests on: thickest blade that went, thinnest refused, as candidate indices; −1 none. */
interface State {
  goes: number
  goesDrag: boolean
  refused: number
  refusedPinch: boolean
}

/** What to try next on any state of one valve, worked out once for a set, a spec and an expectation. */
export type BladePolicy = (trials: Trial[]) => BladeAdvice | null

/** Thicknesses at which a verdict turns: the limits, or a bare figure and the next blade up from it. */
const turningPoints = (clearance: Clearance): number[] => {
  const { minMm, maxMm } = spanOf(clearance)
  return [...new Set([minMm, maxMm])]
}

/**
 * The thicknesses of a set among which the next blade is sought: all its sound blades, stacks of two about the limits
 * where no blade lies, and of three at a limit that nothing else meets. Bent and worn blades are never asked for.
 */
export function trialStacks(set: Pick<BladeSet, 'blades'>, clearance: Clearance): Stack[] {
  const points = turningPoints(clearance)
  const { minMm, maxMm } = spanOf(clearance)
  const sound = stacks(set, 2, { aboutMm: [snapMm((minMm + maxMm) / 2)], withinMm: (maxMm - minMm) / 2 + 0.03 }).filter(
    s => s.doubt === null,
  )
  const missed = points.filter(t => !sound.some(s => Math.abs(s.totalMm - t) <= BARE_FIGURE_NEAR_MM / 2))
  return missed.length
    ? [
        ...sound,
        ...stacks(set, 3, { aboutMm: missed, withinMm: BARE_FIGURE_NEAR_MM / 2 }).filter(s => s.bladesMm.length === 3),
      ].sort((a, b) => a.totalMm - b.totalMm)
    : sound
}

/**
 * A blade little over a bare figure tells nothing: it may go where the figure drags, which is in, and where it is free.
 */
function idle(
  { totalMm }: Pick<Stack, 'totalMm'>,
  clearance: Clearance,
  { dragMm }: HandBands,
  set: JudgeOptions['set'],
) {
  return (
    clearance.form === 'bare' &&
    totalMm > snapMm(clearance.figureMm + BARE_FIGURE_NEAR_MM) &&
    totalMm < snapMm(bladeOfFigure(clearance.figureMm, set) + dragMm)
  )
}

/**
 * Two dozen of them: at the turning points first, then single blades by nearness, then stacks where there is room
 * between.
 */
function candidatesOf(all: Stack[], clearance: Clearance): Stack[] {
  const points = turningPoints(clearance)
  const centerMm = targetOf(clearance)
  const near = (a: Stack, b: Stack) => Math.abs(a.totalMm - centerMm) - Math.abs(b.totalMm - centerMm)
  const chosen: Stack[] = []
  const take = (list: Stack[], apartMm: number, most: number) => {
    for (const s of list)
      if (chosen.length < most && !chosen.some(c => Math.abs(c.totalMm - s.totalMm) < apartMm || c === s))
        chosen.push(s)
  }
  take(
    points.flatMap(t => all.filter(s => s.totalMm === t)),
    0,
    CANDIDATES,
  )
  take(all.filter(s => s.bladesMm.length === 1).sort(near), 0, CANDIDATES - 6)
  take(all.filter(s => s.bladesMm.length > 1).sort(near), SAME_MM, CANDIDATES)
  take(all.filter(s => s.bladesMm.length === 1).sort(near), 0, CANDIDATES)
  return chosen.sort((a, b) => a.totalMm - b.totalMm)
}

/**
 * How likely each gap is, summed over a grid of gaps: a cell counts as a whole, by its middle. A floor under the bell:
 * a gap may be anywhere, however the last visit left it.
 */
function chancesUpTo({ meanMm, sigmaMm }: ClearancePrior, topMm: number): { sums: Float64Array; cell: CellOf } {
  const cells = Math.ceil(topMm / GRID_MM)
  const sums = new Float64Array(cells + 1)
  for (let i = 0; i < cells; i++)
    sums[i + 1] = sums[i]! + Math.exp(-0.5 * (((i + 0.5) * GRID_MM - meanMm) / sigmaMm) ** 2) + 0.02
  return { sums, cell: mm => Math.min(cells, Math.max(0, Math.round(mm / GRID_MM))) }
}
type CellOf = (mm: number) => number

/** The gaps at which a blade is felt as each feel, as `[from, to)`. */
const feltOver = (t: number, { dragMm, pinchMm }: HandBands): Record<Feel, [number, number]> => ({
  'no-go': [0, t - pinchMm],
  'pinched': [t - pinchMm, t],
  'drag': [t, t + dragMm],
  'free': [t + dragMm, Infinity],
})

/**
 * The blade or stack that settles a verdict in the fewest expected trials: dynamic programming over what the thickest
 * that went and the thinnest that was refused leave possible. A tie goes to the single blade, then to the thicker.
 * @param choices what can be tried, at least one; two dozen of them near the limits are looked at
 * @returns a policy; it answers null when nothing is left to settle
 */
export function bladePolicy(
  choices: readonly Stack[],
  clearance: Clearance,
  options: JudgeOptions & { prior?: ClearancePrior; byShim?: boolean } = {},
): BladePolicy {
  const hand = options.hand ?? USUAL_HAND
  const candidates = candidatesOf(
    choices.filter(c => !idle(c, clearance, hand, options.set)),
    clearance,
  )
  const t = candidates.map(c => c.totalMm)
  const { sums, cell } = chancesUpTo(
    options.prior ?? broadPrior(clearance),
    Math.max(...t, limitsOf(clearance)?.maxMm ?? 0) + 0.1,
  )
  const outcomes = candidates.map(c => {
    const felt = feltOver(c.totalMm, hand)
    return FEELS.map(feel => [cell(felt[feel][0]), cell(felt[feel][1])] as const)
  })
  const handling = candidates.map(c => 1 + JOINT_COST * (c.bladesMm.length - 1))

  const trialsOf = (state: State): Trial[] => [
    ...(state.goes >= 0
      ? [
          {
            id: '',
            bladesMm: candidates[state.goes]!.bladesMm,
            feel: state.goesDrag ? ('drag' as const) : ('free' as const),
          },
        ]
      : []),
    ...(state.refused >= 0
      ? [
          {
            id: '',
            bladesMm: candidates[state.refused]!.bladesMm,
            feel: state.refusedPinch ? ('pinched' as const) : ('no-go' as const),
          },
        ]
      : []),
  ]
  const after = (state: State, blade: number, feel: Feel): State =>
    feel === 'free' || feel === 'drag'
      ? blade > state.goes
        ? { ...state, goes: blade, goesDrag: feel === 'drag' }
        : state
      : state.refused < 0 || blade < state.refused
        ? { ...state, refused: blade, refusedPinch: feel === 'pinched' }
        : state

  // a state by one number, and what is best in it by that number: there are some thousands of them
  const n = candidates.length
  const keyOf = (goes: number, goesDrag: boolean, refused: number, refusedPinch: boolean) =>
    (((goes + 1) * 2 + Number(goesDrag)) * (n + 1) + refused + 1) * 2 + Number(refusedPinch)
  const states = keyOf(n, false, -1, false)
  const seen = new Uint8Array(states)
  const [trialsTo, costTo, bladeAt] = [new Float64Array(states), new Float64Array(states), new Int8Array(states)]

  const settled = (state: State): boolean => {
    if ((state.refused < 0 ? n : state.refused) - state.goes <= 1) return true
    const { verdict, reading } = verdictOf(trialsOf(state), clearance, options)
    return verdict === 'in' || (verdict !== 'unproved' && knownEnough(reading, options.byShim))
  }
  /** Works out the best blade of a state, once. @returns its number */
  const best = (goes: number, goesDrag: boolean, refused: number, refusedPinch: boolean): number => {
    const key = keyOf(goes, goesDrag, refused, refusedPinch)
    if (seen[key]) return key
    seen[key] = 1
    bladeAt[key] = -1
    const state: State = { goes, goesDrag, refused, refusedPinch }
    if (settled(state)) return key
    const { loMm, hiMm } = clearanceInterval(trialsOf(state), hand)
    const [low, high] = [cell(loMm), cell(hiMm ?? Infinity)]
    const total = Math.max(0, sums[high]! - sums[low]!)
    let leastCost = Infinity
    for (let blade = goes + 1; blade < (refused < 0 ? n : refused); blade++) {
      let [trials, cost] = [1, handling[blade]!]
      for (let felt = 0; felt < FEELS.length; felt++) {
        const [from, to] = outcomes[blade]![felt]!
        const weight = Math.max(0, sums[Math.min(to, high)]! - sums[Math.max(from, low)]!)
        if (weight <= 0) continue
        const feel = FEELS[felt]!
        const next =
          feel === 'free' || feel === 'drag'
            ? best(blade, feel === 'drag', refused, refusedPinch)
            : best(goes, goesDrag, blade, feel === 'pinched')
        trials += (weight / total) * trialsTo[next]!
        cost += (weight / total) * costTo[next]!
      }
      const so = bladeAt[key]!
      const tie = Math.abs(cost - leastCost) <= 1e-9
      if (tie ? handling[blade]! <= handling[so]! : cost < leastCost) {
        leastCost = cost
        trialsTo[key] = trials
        costTo[key] = cost
        bladeAt[key] = blade
      }
    }
    return key
  }

  return trials => {
    const judgement = verdictOf(trials, clearance, options)
    const doubted = judgement.reading.contradiction?.[1]
    if (doubted) return { stack: again(doubted, candidates), expectedTrials: 1 }
    if (judgement.verdict === 'in') return null
    const state = latestTrials(trials).reduce<State>(
      (s, trial) => {
        const mm = thickness(trial)
        // a blade that is no candidate counts as the nearest one that proves no more than it
        const index = went(trial) ? t.findLastIndex(c => c <= mm) : t.findIndex(c => c >= mm)
        return index < 0 ? s : after(s, index, t[index] === mm ? trial.feel : went(trial) ? 'free' : 'no-go')
      },
      { goes: -1, goesDrag: false, refused: -1, refusedPinch: false },
    )
    const key = best(state.goes, state.goesDrag, state.refused, state.refusedPinch)
    const [expectedTrials, blade] = [trialsTo[key]!, bladeAt[key]!]
    // a person may have tried a blade just over a bare figure: then the figure itself settles it
    const overIt =
      clearance.form === 'bare' &&
      trials.some(trial => went(trial) && idle({ totalMm: thickness(trial) }, clearance, hand, options.set))
    const own =
      overIt && judgement.verdict === 'unproved'
        ? candidates.find(
            c =>
              Math.abs(snapMm(c.totalMm - targetOf(clearance))) <= BARE_FIGURE_NEAR_MM &&
              !trials.some(trial => thickness(trial) === c.totalMm),
          )
        : undefined
    if (own) return { stack: own, expectedTrials: 1 }
    return blade < 0 ? null : { stack: candidates[blade]!, expectedTrials }
  }
}

/** The blades of a trial, to be tried once more. */
const again = (trial: Trial, candidates: Stack[]): Stack =>
  candidates.find(c => c.totalMm === thickness(trial)) ?? {
    engravedMm: trial.bladesMm,
    bladesMm: trial.bladesMm,
    totalMm: thickness(trial),
    errorMm: trialErrorMm(trial),
    doubt: trial.doubt ?? null,
  }

/** The next blade for trials already made; for several valves of a job keep a `bladePolicy` instead. */
export const nextBlade = (
  set: Pick<BladeSet, 'blades'>,
  trials: Trial[],
  clearance: Clearance,
  options: JudgeOptions & { prior?: ClearancePrior } = {},
): BladeAdvice | null => bladePolicy(trialStacks(set, clearance), clearance, { ...options, set })(trials)

/**
 * The blade or stack to set a valve with: the one whose light drag ends nearest the aim, and which proves the setting
 * once it is locked.
 * @param aimMm where the gap should stand before the lock; `shiftMm` is what the lock adds to it
 * @returns null when the set has no such thickness and the setting could not be proved with it
 */
export function settingBlade(
  choices: readonly Stack[],
  clearance: Clearance,
  {
    aimMm = targetOf(clearance),
    shiftMm = 0,
    hand = USUAL_HAND,
  }: { aimMm?: number; shiftMm?: number; hand?: HandBands } = {},
): Stack | null {
  const limits = limitsOf(clearance)
  const locked = (s: Stack) => snapMm(s.totalMm + shiftMm)
  const fits = choices.filter(s =>
    limits
      ? locked(s) >= limits.minMm && snapMm(locked(s) + endsWithin(limits, hand)) <= limits.maxMm
      : Math.abs(snapMm(locked(s) - targetOf(clearance))) <= BARE_FIGURE_NEAR_MM,
  )
  // a drag leaves 0 to 0.015 more than the blade; for a bare figure the drag at the figure is the spec itself
  const off = (s: Stack) => Math.abs(s.totalMm + (limits ? hand.dragMm / 2 : 0) - aimMm)
  const jointMm = limits ? JOINT_OFF_MM : JOINT_OFF_FIGURE_MM
  const awkward = (s: Stack) => off(s) + jointMm * (s.bladesMm.length - 1)
  return [...fits].sort((a, b) => awkward(a) - awkward(b) || b.totalMm - a.totalMm)[0] ?? null
}
/** A drag ends somewhere in its width: its middle lies inside limits that are wide enough for it. */
const endsWithin = ({ minMm, maxMm }: { minMm: number; maxMm: number }, { dragMm }: HandBands): number =>
  maxMm - minMm >= dragMm ? 0 : dragMm / 2

/**
 * A stack is taken for setting only where it comes nearer by more than this: two blades are awkward to hold while a nut
 * is turned. From memory.
 */
const JOINT_OFF_MM = 0.006
/** For a bare figure each thousandth beside it is a share of a drag's width that ends out of the spec. From memory. */
const JOINT_OFF_FIGURE_MM = 0.003
