import {
  bracketSlot,
  degreesFor,
  nextSlot,
  type ScrewTurn,
  screwTurn,
  type SlotBracket,
  type SlotTried,
} from '../../adjuster'
import { valveById } from '../../engine'
import { engravedWords, type Interval, leavesOf } from '../../feeler'
import { adjusterWords } from '../adjuster-words'
import { type Aim, aimOf, judgeAfterLock } from '../aim'
import type { GapChange } from '../event'
import { latestReading, presentReading, type Reading, type ValveState } from '../state'
import { expectedPolicy, judgeReading, type JobView, latestVerdict, setInHand } from '../view'
import { flatsWords, roundTurn, turnWords } from '../words'
import { bladeHabitWords, lockTorque } from '../lock-torque'
import { feelKeys, markCheckThing, trialThing, wantsMarkCheck } from './measure'
import { shimThing } from './shims'
import { type Draft, key } from './thing'

/** When only one side is known, the screw is turned by this much of a gap, then felt again; twice as much each time it did not do. */
const SEARCH_STEP_MM = 0.02

/** What was found at each angle of this round's screw, with the reading before it. */
function slotsTried(view: JobView, valve: ValveState): SlotTried[] {
  const { pin } = view
  return [
    ...(valve.readings.length
      ? [
          {
            screwDeg: valve.moves.filter(m => m.round < valve.round).at(-1)?.screwDeg ?? 0,
            reading: startReading(view, valve),
          },
        ]
      : []),
    ...valve.tries
      .filter(t => t.round === valve.round)
      .map(t => ({
        screwDeg: t.screwDeg,
        reading: judgeReading(pin, { trials: t.trials, phase: 'before lock' }, valve.valveId).reading,
      })),
  ]
}

/** Between which angles of the screw the answer lies. */
export const bracketOf = (view: JobView, valve: ValveState, wantedMm: number): SlotBracket =>
  bracketSlot(slotsTried(view, valve), wantedMm)

/** What the valve measured before this round's screw was touched. */
function startReading(view: JobView, valve: ValveState): Interval {
  const before = valve.readings.filter(r => r.round < valve.round && r.trials.length > 0).at(-1)
  return judgeReading(view.pin, before, valve.valveId).reading
}

/** The next turn of the screw: the model's, kept between what was too loose and too tight, or halfway where it would leave that. */
function nextTurn(view: JobView, valve: ValveState, wantedMm: number): { turn: ScrewTurn; deg: number } {
  const { adjuster } = view.pin.spec.engine
  const now: Reading | undefined = presentReading(valve)
  const measured = now?.trials.length ? judgeReading(view.pin, now, valve.valveId).reading : startReading(view, valve)
  const thinnest = leavesOf(setInHand(view))[0]?.mm ?? 0.05
  const turn = screwTurn(adjuster, measured, wantedMm, thinnest)
  const inVain = valve.moves.filter(m => m.round === valve.round).length
  const step = degreesFor(adjuster, SEARCH_STEP_MM) * 2 ** Math.min(inVain, 3)
  const model =
    turn.kind === 'turn'
      ? turn.deg
      : turn.kind === 'open-until'
        ? -Math.max(degreesFor(adjuster, wantedMm), step)
        : (turn.direction === 'clockwise' ? 1 : -1) * Math.max(turn.deg, step)
  const bracket = bracketOf(view, valve, wantedMm)
  return {
    turn,
    deg: handTurn(
      nextSlot(bracket, valve.screwDeg + model, turn.kind === 'turn') - valve.screwDeg,
      valve.screwDeg,
      bracket,
    ),
  }
}

/** A turn as a hand makes it: in fives where that stays between too loose and too tight, else in single degrees, and never none. */
function handTurn(deg: number, fromDeg: number, { looseDeg, tightDeg }: SlotBracket): number {
  const rounded = roundTurn(deg)
  const to = fromDeg + rounded
  const inside = (looseDeg === null || to > looseDeg) && (tightDeg === null || to < tightDeg)
  return rounded !== 0 && inside ? rounded : Math.round(deg) || Math.sign(deg) || -1
}

const againWords = (view: JobView, reading: Reading | undefined, valveId: string): string =>
  reading?.trials.length ? `${judgeReading(view.pin, reading, valveId).reason} ` : ''

/** A valve with neither screw nor shim: there is nothing to set. */
function nothingToSet(view: JobView, valve: ValveState): Draft {
  const { name } = valveById(view.pin.spec.engine, valve.valveId)
  return {
    label: `${name}, ${latestVerdict(view.pin, valve).verdict}`,
    stage: { kind: 'blades', valveId: valve.valveId, next: null },
    instruction: `The ${name.toLowerCase()} has no adjuster`,
    why: 'Nothing here can be turned: it is a matter for seat, tip or lifter.',
    keys: [key('Leave it for now', 'say why', null, 'reason'), key('Write it down', 'for the owner', null, 'finding')],
  }
}

/** How sure the turn is: "give or take 5°", or that only one side is known. */
export function turnDoubt(turn: ScrewTurn): string {
  if (turn.kind !== 'turn') return 'a guess: only one side is known'
  return `give or take ${Math.max(1, Math.round((turn.mostDeg - turn.leastDeg) / 2))}°`
}

/** The Set step for one valve: loosen, turn and feel, nip and feel, torque and feel, as many rounds as it takes; or by its shim. */
export function setThing(view: JobView, valve: ValveState): Draft {
  const { adjuster } = valveById(view.pin.spec.engine, valve.valveId)
  if (adjuster === 'shim') return shimThing(view, valve)
  if (adjuster === 'none') return nothingToSet(view, valve)
  if (valve.nut === 'locked')
    return valve.phase === 'torqued' && torqueUnread(view, valve)
      ? trialThing(view, valve, 'torqued')
      : loosenThing(view, valve)
  return valve.nut === 'nipped' ? nippedThing(view, valve) : looseThing(view, valve)
}

/** What the torque left is read until it is proved; where it is out, as narrowly as tells what the lock did: else the next round would aim as the last. */
function torqueUnread(view: JobView, valve: ValveState): boolean {
  const reading = presentReading(valve)
  const { verdict } = judgeReading(view.pin, reading, valve.valveId)
  return verdict === 'unproved' || (verdict !== 'in' && expectedPolicy(view, valve)(reading?.trials ?? []) !== null)
}

const screwStage = (
  valve: ValveState,
  aim: Aim,
  stage: 'loosen' | 'before lock' | 'nip' | 'torque',
  turn: ScrewTurn | null = null,
  askedDeg: number | null = null,
): Draft['stage'] => ({ kind: 'screw', valveId: valve.valveId, aim, turn, askedDeg, stage })

function loosenThing(view: JobView, valve: ValveState): Draft {
  const { engine } = view.pin.spec
  const { valveId } = valve
  const { name } = valveById(engine, valveId)
  const words = adjusterWords(engine.adjuster)
  const stage = screwStage(valve, aimOf(view, valve), 'loosen')
  if (wantsMarkCheck(view, valveId)) return { ...markCheckThing(view, valveId), stage }
  const { verdict } = latestVerdict(view.pin, valve)
  return {
    label: `${name}, ${verdict === 'unproved' ? 'to be set' : verdict}`,
    instruction: `Loosen the ${name.toLowerCase()} ${words.nut}`,
    why: `${againWords(view, latestReading(valve), valveId)}Note first where the ${engine.adjuster.head === 'slot' ? 'slot points' : 'key stands'}: mark one end.`,
    keys: [
      key('It is free', `${words.turned} has not moved`, { type: 'nut-loosened', payload: { valveId, slotDeg: null } }),
      key('Free, noted', 'type the clock hour', null, 'slot'),
      key('It will not move', 'write it down', null, 'finding'),
    ],
    stage,
  }
}

function nippedThing(view: JobView, valve: ValveState): Draft {
  const { valveId } = valve
  const { engine } = view.pin.spec
  const { name } = valveById(engine, valveId)
  const words = adjusterWords(engine.adjuster)
  const aim = aimOf(view, valve)
  const here = judgeReading(view.pin, presentReading(valve), valveId)
  // it is good where it stands, or where the torque will leave it
  const good = here.verdict === 'in' || judgeAfterLock(view, valve, aim.shift).verdict === 'in'
  if (!good && here.verdict === 'unproved') return trialThing(view, valve, 'nipped')
  if (!good)
    return {
      label: `${name}, nipped`,
      instruction: `It moved: loosen the ${words.nip} again`,
      why: `${here.reason} Locking often moves it; the next round aims off.`,
      keys: [key('It is free', 'go round again', { type: 'nut-loosened', payload: { valveId, slotDeg: null } })],
      stage: screwStage(valve, aim, 'loosen'),
    }
  const set = setInHand(view)
  const stack = aim.after ?? aim.anyway
  const torque = lockTorque(view)
  const after: GapChange = {
    kind: 'torqued',
    torqueNm: engine.torques.locknutNm,
    ...(torque.by ? { by: torque.by } : {}),
  }
  return {
    label: `${name}, lock`,
    instruction: `Torque the ${words.nip}${torque.instruction}, feel ${engravedWords(stack.engravedMm, set.unit)}`,
    why: `${torque.why} ${bladeHabitWords(view)}`,
    keys: feelKeys(valveId, stack, set, after),
    stage: screwStage(valve, aim, 'torque'),
    trial: { valveId, stack, set: set.name, after },
  }
}

function looseThing(view: JobView, valve: ValveState): Draft {
  const { valveId } = valve
  const { name } = valveById(view.pin.spec.engine, valveId)
  const words = adjusterWords(view.pin.spec.engine.adjuster)
  const aim = aimOf(view, valve)
  const set = setInHand(view)
  const stack = aim.anyway
  const blade = engravedWords(stack.engravedMm, set.unit)
  const present = presentReading(valve)
  const predicted = judgeAfterLock(view, valve, aim.shift)
  if (predicted.verdict === 'in') {
    const after = { kind: 'nipped' as const }
    return {
      label: `${name}, before lock`,
      instruction: `Hold ${words.hold}, nip the ${words.nip}, feel ${blade}`,
      why: aim.shift
        ? `${lastFelt(present)} With what the lock does it ends in the spec. It likes to follow: hold it still.`
        : `${predicted.reason} It likes to follow the nut: hold it still.`,
      keys: feelKeys(valveId, stack, set, after),
      stage: screwStage(valve, aim, 'nip'),
      trial: { valveId, stack, set: set.name, after },
    }
  }
  const { turn, deg } = nextTurn(view, valve, aim.beforeMm)
  const after = { kind: 'screw' as const, deg }
  return {
    label: `${name}, before lock`,
    instruction: `Turn the ${words.turned} ${turnWords(deg)}, feel ${blade}`,
    why: `${againWords(view, present ?? latestReading(valve), valveId)}That is ${flatsWords(deg)}, ${turnDoubt(turn)}.`,
    keys: feelKeys(valveId, stack, set, after, {
      'free': 'still loose',
      'drag': `nip the ${words.nip} next`,
      'no-go': 'past it',
    }),
    stage: screwStage(valve, aim, 'before lock', turn, after.deg),
    trial: { valveId, stack, set: set.name, after },
  }
}

const lastFelt = (reading: Reading | undefined): string => {
  const last = reading?.trials.at(-1)
  return last ? `${last.name ?? ''}: ${last.feel}.` : ''
}
