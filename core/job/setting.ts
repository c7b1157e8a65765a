import {
  bracketSlot,
  degreesFor,
  gapByAngle,
  type ScrewTurn,
  screwTurn,
  type SlotBracket,
  type SlotTried,
} from '../adjuster'
import { countedAsIn, type Interval, leavesOf, type Stack, thickness, type Trial, went } from '../feeler'
import { snapMm } from '../units'
import { type Aim, aimOf, judgeAfterLock } from './aim'
import { presentReading, type ValveState } from './state'
import { mayOpenMm } from './valve-work'
import { clearanceOf, type JobView, judgeReading, setInHand } from './view'
import { roundTurn } from './words'

/**
 * When only one side is known, the screw is turned by this much of a gap, then felt again; twice as much each time it
 * did not do.
 */
const SEARCH_STEP_MM = 0.02
/** A turn on a guess goes no further than a flat. Degrees */
export const GUESS_AT_MOST_DEG = 60
/** Half a flat that changes nothing is asked about: 30°, less what a hand rounds away in two turns. Degrees */
const NO_CHANGE_FROM_DEG = 28
/** A gap opened by this much shows on a blade; less than this of a turn may be play in the thread. mm, degrees */
const SHOWN_MM = 0.08
const PLAY_DEG = 15
/** So many turns in one round are enough: then it is locked where it stands, or left. From memory. */
const MOST_TURNS = 10
/** So many rounds of one nut are enough. From memory. */
export const MOST_ROUNDS = 4

/** What was found at each angle of this round's screw, with the reading before it. */
function triedWithStart(view: JobView, valve: ValveState): SlotTried[] {
  const start = startReading(view, valve)
  return [
    ...(start
      ? [{ screwDeg: valve.moves.filter(m => m.round < valve.round).at(-1)?.screwDeg ?? 0, reading: start }]
      : []),
    ...triedHere(view, valve),
  ]
}

/** Tries of this round at one place of the crank: felt elsewhere they may say nothing of the gap. */
const triedAt = ({ pin }: JobView, valve: ValveState, place: number): SlotTried[] =>
  valve.tries
    .filter(t => t.round === valve.round && t.place === place)
    .map(t => ({
      screwDeg: t.screwDeg,
      reading: judgeReading(pin, { trials: t.trials, phase: 'before lock' }, valve.valveId).reading,
    }))
const triedHere = (view: JobView, valve: ValveState): SlotTried[] => triedAt(view, valve, view.state.places)

/** What the valve measured before this round's screw was touched; null where it was not. */
function startReading(view: JobView, valve: ValveState): Interval | null {
  const before = valve.readings.filter(r => r.round < valve.round && r.trials.length > 0).at(-1)
  return before ? judgeReading(view.pin, before, valve.valveId).reading : null
}

/** Between which angles of the screw the answer lies. */
export const bracketOf = (view: JobView, valve: ValveState, wantedMm: number): SlotBracket =>
  bracketSlot(triedWithStart(view, valve), wantedMm)

/** Loosening may move the screw too: what was read before it counts only until something is felt. */
function standsAt(view: JobView, valve: ValveState): Interval {
  const { adjuster } = view.pin.spec.engine
  const here = triedHere(view, valve)
  if (here.length) return gapByAngle(adjuster, here, valve.screwDeg)
  const start = startReading(view, valve)
  return start ?? { loMm: 0, hiMm: null }
}

/** The setting of one valve, its nut loose: where it stands, and what is done next. */
export interface Setting {
  aim: Aim
  /** The gap by blades and by the screw's angle. */
  stands: Interval
  blade: Stack
  turn: ScrewTurn
  /** The turn that is asked for, whole degrees, never none. */
  deg: number
  /** Ready to be locked: because a blade says so, because the screw's angle does, or because it will come no nearer. */
  ready: 'blade' | 'angle' | 'as near as it gets' | null
  /** The crank was moved since the last blade: it is felt once more before anything is turned. */
  feelFirst: boolean
  /** The screw was turned half a flat or more, and nothing changed. */
  noChange: boolean
  /** A thinner blade, refused before the screw was opened: felt now, it tells whether the screw does anything. */
  telltale: Stack | null
}

/** The single blade that was tried last in this round stays in hand where it would prove the setting once locked. */
function bladeInHand(view: JobView, valve: ValveState, shiftMm: number): Stack | null {
  const last = valve.tries
    .filter(t => t.round === valve.round)
    .at(-1)
    ?.trials.at(-1)
  if (!last || last.bladesMm.length > 1) return null
  const band = countedAsIn(clearanceOf(view.pin, valve.valveId), setInHand(view), view.pin.hand)
  const locked = thickness(last) + shiftMm
  if (locked < band.minMm || locked + view.pin.hand.dragMm / 2 > band.maxMm) return null
  return (
    view.tools
      .choicesFor(setInHand(view), clearanceOf(view.pin, valve.valveId))
      .find(c => c.totalMm === thickness(last)) ?? null
  )
}

/** How sure a gap is: what lies between its bounds, or null where one side is open. */
const widthOf = ({ loMm, hiMm }: Interval): number | null => (hiMm === null || loMm <= 0 ? null : snapMm(hiMm - loMm))

/** How a valve’s screw is turned from here: by how much, with which blade to show it, or by the angle alone. */
export function settingOf(view: JobView, valve: ValveState): Setting {
  const { adjuster } = view.pin.spec.engine
  const aim = aimOf(view, valve)
  const stands = standsAt(view, valve)
  const perMm = degreesFor(adjuster, 1)
  const shiftMm = aim.shift?.shiftMm ?? 0
  const band = countedAsIn(clearanceOf(view.pin, valve.valveId), setInHand(view), view.pin.hand)
  const thinnest = leavesOf(setInHand(view))[0]?.mm ?? 0.05
  const turn = screwTurn(adjuster, stands, aim.beforeMm, thinnest)
  const turns = valve.moves.filter(m => m.round === valve.round)
  const felt = triedHere(view, valve).length > 0
  const telltale = telltaleOf(view, valve)
  const blade = telltale.refused ?? bladeInHand(view, valve, shiftMm) ?? aim.anyway
  // where no blade ever went, no further than shows whether the screw does anything
  const refused = thinnestRefused(valve)
  const untilMm = valve.lastWent.mm === 0 && refused ? Math.min(blade.totalMm, thickness(refused)) : blade.totalMm
  const openAtMostDeg = mayOpenMm(view.pin, valve, untilMm) * perMm
  const wanted = Math.max(-openAtMostDeg, wantedTurn(stands, aim.beforeMm, perMm, stepsInVain(view, valve)))
  const deg = inHand(wanted, (band.maxMm - band.minMm) * perMm)
  const width = widthOf(stands)
  const inside = stands.hiMm !== null && stands.loMm + shiftMm >= band.minMm && stands.hiMm + shiftMm <= band.maxMm
  const noNearer =
    width !== null &&
    (turns.length >= MOST_TURNS || Math.abs(wanted) < 1.5 || Math.abs(wanted) / perMm < width / 6) &&
    middleOf(stands) + shiftMm >= band.minMm &&
    middleOf(stands) + shiftMm <= band.maxMm
  return {
    aim,
    stands,
    blade,
    turn,
    deg,
    ready:
      judgeAfterLock(view, valve, shiftMm).verdict === 'in'
        ? 'blade'
        : felt && inside
          ? 'angle'
          : felt && (noNearer || turns.length >= MOST_TURNS || triedAlready(valve, valve.screwDeg + deg))
            ? 'as near as it gets'
            : null,
    feelFirst: !felt && valve.tries.some(t => t.round === valve.round),
    noChange:
      felt && !valve.screwChecked && (nothingChanged(valve) || telltale.refused !== null || valve.inVainId !== null),
    telltale: valve.inVainId ? null : telltale.toFeel,
  }
}

/** The thinnest blade that was refused before this round's screw was touched. */
function thinnestRefused(valve: ValveState): Trial | undefined {
  const before = valve.readings.filter(r => r.round < valve.round && r.trials.length > 0).at(-1)
  return before?.trials.filter(t => !went(t)).sort((a, b) => thickness(a) - thickness(b))[0]
}

/**
 * A blade that goes needs the screw opened further than the thinnest that was refused before it was touched. Where the
 * screw was opened by as much as a gap must show and the aim is still refused, that thinner one is felt: it goes, or
 * the screw does nothing, or the valve is held open here. Asked once for each round of the nut.
 */
function telltaleOf(view: JobView, valve: ValveState): { toFeel: Stack | null; refused: Stack | null } {
  const none = { toFeel: null, refused: null }
  const perMm = degreesFor(view.pin.spec.engine.adjuster, 1)
  const refused = thinnestRefused(valve)
  const tries = valve.tries.filter(t => t.round === valve.round && t.place === view.state.places)
  const last = tries.at(-1)
  if (!refused || !last || last.screwDeg !== valve.screwDeg || tries.some(t => t.trials.some(went))) return none
  const stack = view.tools
    .choicesFor(setInHand(view), clearanceOf(view.pin, valve.valveId))
    .find(c => c.totalMm === thickness(refused))
  const startDeg = valve.moves.filter(m => m.round < valve.round).at(-1)?.screwDeg ?? 0
  const shownDeg = Math.min(NO_CHANGE_FROM_DEG, Math.max(PLAY_DEG, SHOWN_MM * perMm))
  if (!stack || startDeg - valve.screwDeg < shownDeg) return none
  if (tries.some(t => startDeg - t.screwDeg >= shownDeg && t.trials.some(trial => thickness(trial) <= stack.totalMm)))
    return { toFeel: null, refused: stack }
  return last.trials.every(t => thickness(t) > stack.totalMm) ? { toFeel: stack, refused: null } : none
}

/** An angle that was felt in this round says nothing new. */
const triedAlready = (valve: ValveState, screwDeg: number): boolean =>
  valve.tries.some(t => t.round === valve.round && Math.abs(t.screwDeg - screwDeg) < 0.5)

const middleOf = ({ loMm, hiMm }: Interval): number => (loMm + (hiMm ?? loMm)) / 2

/**
 * How far to turn: to the middle of what is known; where one side is open as far as the blades prove, else a step that
 * doubles while it is in vain, a flat at most and never through what a blade has shown to be there.
 */
function wantedTurn(stands: Interval, aimMm: number, perMm: number, inVain: number): number {
  const { loMm, hiMm } = stands
  if (hiMm !== null && loMm > 0) return (middleOf(stands) - aimMm) * perMm
  const guess = Math.min(GUESS_AT_MOST_DEG, SEARCH_STEP_MM * perMm * 2 ** inVain)
  if (hiMm === null) {
    const provedDeg = (loMm - aimMm) * perMm
    return Math.max(provedDeg, Math.min(guess, Math.max(loMm * perMm * 0.8, 5)))
  }
  return -Math.max((aimMm - hiMm) * perMm, guess)
}

/** Turns made lately in one direction that left the answer open on the same side. */
function stepsInVain(view: JobView, valve: ValveState): number {
  const turns = valve.moves.filter(m => m.round === valve.round)
  const tried = triedHere(view, valve)
  let count = 0
  for (let i = turns.length - 1; i >= 0; i--) {
    const here = tried.find(t => t.screwDeg === turns[i]!.screwDeg)?.reading
    const open = here && (turns[i]!.deg > 0 ? here.hiMm === null : here.loMm <= 0)
    if (!open || Math.sign(turns[i]!.deg) !== Math.sign(turns.at(-1)!.deg)) break
    count++
  }
  return Math.max(0, count - 1)
}

/** A turn as a hand makes it: in fives where the spec leaves room for it, else in single degrees, and never none. */
function inHand(deg: number, roomDeg: number): number {
  const five = roundTurn(deg)
  return (Math.abs(five - deg) < roomDeg / 4 ? five : Math.round(deg)) || Math.sign(deg) || 1
}

/** Whether the screw was turned half a flat or more one way while the same blade felt the same. */
function nothingChanged(valve: ValveState): boolean {
  const tries = valve.tries.filter(t => t.round === valve.round && t.trials.length > 0)
  const last = tries.at(-1)
  if (!last || tries.length < 2) return false
  const felt = (trials: typeof last.trials) => trials.map(t => `${thickness(t)} ${t.feel}`).at(-1)
  let from = last
  for (const t of [...tries].reverse()) {
    if (felt(t.trials) !== felt(last.trials)) break
    from = t
  }
  return Math.abs(last.screwDeg - from.screwDeg) >= NO_CHANGE_FROM_DEG
}

/**
 * By the screw's angle, where a locked valve stands that no blade of the set can prove; null where that is not known.
 */
export function standsByAngle(view: JobView, valve: ValveState): Interval | null {
  if (valve.round === 0 || valve.nut !== 'locked') return null
  const tries = valve.tries.filter(t => t.round === valve.round)
  if (tries.length === 0) return null
  const before = gapByAngle(
    view.pin.spec.engine.adjuster,
    triedAt(view, valve, tries.at(-1)!.place),
    tries.at(-1)!.screwDeg,
  )
  if (widthOf(before) === null) return null
  const shiftMm = aimOf(view, valve).shift?.shiftMm ?? 0
  const moved = { loMm: Math.max(0, snapMm(before.loMm + shiftMm)), hiMm: snapMm(before.hiMm! + shiftMm) }
  const felt = presentReading(valve)?.trials.length
    ? judgeReading(view.pin, presentReading(valve), valve.valveId).reading
    : { loMm: 0, hiMm: null }
  const loMm = Math.max(moved.loMm, felt.loMm)
  const hiMm = Math.min(moved.hiMm, felt.hiMm ?? Infinity)
  return loMm < hiMm ? { loMm, hiMm } : null
}
