import { degreesFor, screwTurn, type ScrewTurn } from '../../adjuster'
import { valveById } from '../../engine'
import { type Interval, judge, settingBlade, targetOf } from '../../feeler'
import { formatLength, formatTorque, snapMm } from '../../units'
import { latestReading, presentReading, type Reading, type ValveState } from '../state'
import { clearanceOf, judgeReading, type JobView, latestVerdict } from '../view'
import { bladeWords, flatsWords, turnWords } from '../words'
import { feelKeys, markCheckThing, trialThing, wantsMarkCheck } from './measure'
import { type Draft, key } from './thing'

/** When only one side is known, the screw is turned by this much of a gap, then felt again; twice as much each time it did not do. */
const SEARCH_STEP_MM = 0.02

/** Where on the way to a setting a screw angle proved too loose or too tight. Clockwise closes, so the answer lies between. */
interface Bracket { looseDeg: number | null, tightDeg: number | null }

function bracketOf(view: JobView, valve: ValveState, wantedMm: number): Bracket {
  const tries: { screwDeg: number, reading: Interval }[] = [
    ...valve.readings.length ? [{ screwDeg: valve.moves.filter(m => m.round < valve.round).at(-1)?.screwDeg ?? 0, reading: startReading(view, valve) }] : [],
    ...valve.tries.filter(t => t.round === valve.round).map(t => ({ screwDeg: t.screwDeg, reading: judge(t.trials, clearanceOf(view.pin, valve.valveId), { hand: view.pin.hand }).reading })),
  ]
  // a blade that runs free is too loose however little more than it the gap is
  const isLoose = ({ reading }: { reading: Interval }) => reading.loMm >= wantedMm || (reading.hiMm === null && reading.loMm > 0)
  const isTight = ({ reading }: { reading: Interval }) => reading.hiMm !== null && reading.hiMm <= wantedMm
  // the latest count: one from when the valve was held open says nothing of the screw, and is dropped where it contradicts them
  const bracket: Bracket = { looseDeg: null, tightDeg: null }
  for (const t of tries.reverse()) {
    if (isLoose(t) && t.screwDeg < (bracket.tightDeg ?? Infinity)) bracket.looseDeg = Math.max(bracket.looseDeg ?? -Infinity, t.screwDeg)
    if (isTight(t) && t.screwDeg > (bracket.looseDeg ?? -Infinity)) bracket.tightDeg = Math.min(bracket.tightDeg ?? Infinity, t.screwDeg)
  }
  return bracket
}

/** What the valve measured before this round's screw was touched. */
function startReading(view: JobView, valve: ValveState): Interval {
  const before = valve.readings.filter(r => r.round < valve.round && r.trials.length > 0).at(-1)
  return judgeReading(view.pin, before, valve.valveId).reading
}

/** The next turn of the screw: the model's, kept between what was too loose and too tight, or halfway where it would leave that. */
function nextTurn(view: JobView, valve: ValveState): { turn: ScrewTurn, deg: number } {
  const { adjuster } = view.pin.spec.engine
  const wantedMm = aimOf(view, valve)
  const now: Reading | undefined = presentReading(valve)
  const measured = now?.trials.length ? judgeReading(view.pin, now, valve.valveId).reading : startReading(view, valve)
  const thinnest = view.pin.bladeSet.bladesMm[0] ?? 0.05
  const turn = screwTurn(adjuster, measured, wantedMm, thinnest)
  const inVain = valve.moves.filter(m => m.round === valve.round).length
  const step = degreesFor(adjuster, SEARCH_STEP_MM) * 2 ** Math.min(inVain, 3)
  const model = turn.kind === 'turn'
    ? turn.deg
    : turn.kind === 'open-until'
      ? -Math.max(degreesFor(adjuster, wantedMm), step)
      : (turn.direction === 'clockwise' ? 1 : -1) * Math.max(turn.deg, step)
  const { looseDeg, tightDeg } = bracketOf(view, valve, wantedMm)
  const to = valve.screwDeg + model
  const outside = (looseDeg !== null && to <= looseDeg) || (tightDeg !== null && to >= tightDeg)
  if (looseDeg !== null && tightDeg !== null && looseDeg < tightDeg && (outside || turn.kind !== 'turn')) return { turn, deg: (looseDeg + tightDeg) / 2 - valve.screwDeg }
  return { turn, deg: model }
}

/** The gap to aim for: the middle of what a drag of the setting blade means, else the target itself. mm. */
function aimOf({ pin }: JobView, valve: ValveState): number {
  const clearance = clearanceOf(pin, valve.valveId)
  const blade = settingBlade(pin.bladeSet.bladesMm, clearance, pin.hand)
  return blade === null || clearance.form === 'bare' ? targetOf(clearance) : snapMm(blade + pin.hand.dragMm / 2)
}

const againWords = (view: JobView, reading: Reading | undefined, valveId: string): string =>
  reading?.trials.length ? `${judgeReading(view.pin, reading, valveId).reason} ` : ''

/** A valve that no screw sets: what its shim should change by, or that there is nothing to set. Shim formula: common practice. */
function notByScrew(view: JobView, valve: ValveState): Draft {
  const { name, adjuster } = valveById(view.pin.spec.engine, valve.valveId)
  const { reading, verdict } = latestVerdict(view.pin, valve)
  const changeMm = reading.hiMm === null ? null : snapMm((reading.loMm + reading.hiMm) / 2 - targetOf(clearanceOf(view.pin, valve.valveId)))
  const wanted = changeMm === null
    ? 'how thick, the reading does not tell yet'
    : `one ${formatLength(Math.abs(changeMm), view.pin.unit)} ${changeMm < 0 ? 'thinner' : 'thicker'} than the fitted one`
  return {
    label: `${name}, ${verdict}`, stage: { kind: 'blades', valveId: valve.valveId, nextMm: null },
    instruction: adjuster === 'shim' ? `The ${name.toLowerCase()} is set by its shim` : `The ${name.toLowerCase()} has no adjuster`,
    why: adjuster === 'shim' ? `It wants ${wanted}. Fitted + measured − wanted; the cam comes out for it.` : 'Nothing here can be turned: it is a matter for seat, tip or lifter.',
    keys: [key('Leave it for now', 'say why', null, 'reason'), key('Write it down', 'for the owner', null, 'finding')],
  }
}

/** Where no blade of the set tells whether it is in, the screw can still be set to where one does. */
const orSetAgain = (draft: Draft, valveId: string): Draft => draft.keys.some(k => k.asks === 'reason')
  ? { ...draft, keys: [key('Set it again', 'loosen the nut', { type: 'nut-loosened', payload: { valveId } }), ...draft.keys] }
  : draft

/** The Set step for one valve: loosen, turn and feel, nip and feel, torque and feel, as many rounds as it takes. */
export function setThing(view: JobView, valve: ValveState): Draft {
  const { engine } = view.pin.spec
  const { valveId } = valve
  const name = valveById(engine, valveId).name
  const blade = settingBlade(view.pin.bladeSet.bladesMm, clearanceOf(view.pin, valveId), view.pin.hand)
  const bladeMm = blade ?? view.pin.bladeSet.bladesMm.filter(t => t <= aimOf(view, valve)).at(-1) ?? view.pin.bladeSet.bladesMm[0]!
  const present = presentReading(valve)
  const here = judgeReading(view.pin, present, valveId)
  const nm = engine.torques.locknutNm
  const screw = (stage: 'loosen' | 'before lock' | 'nip' | 'torque', turn: ScrewTurn | null = null, turnDeg: number | null = null): Draft['stage'] =>
    ({ kind: 'screw', valveId, blade: bladeMm, turn, turnDeg, stage })

  if (valveById(engine, valveId).adjuster !== 'screw') return notByScrew(view, valve)
  if (valve.nut === 'locked' && valve.phase === 'torqued' && here.verdict === 'unproved') return orSetAgain(trialThing(view, valve, 'torqued'), valveId)
  if (valve.nut === 'locked') {
    if (wantsMarkCheck(view, valveId)) return { ...markCheckThing(view, valveId), stage: screw('loosen') }
    return {
      label: `${name}, ${latestVerdict(view.pin, valve).verdict === 'unproved' ? 'to be set' : latestVerdict(view.pin, valve).verdict}`,
      instruction: `Loosen the ${name.toLowerCase()} locknut`,
      why: `${againWords(view, latestReading(valve), valveId)}Note where the slot points first.`,
      keys: [key('Nut is free', 'screw has not moved', { type: 'nut-loosened', payload: { valveId } }), key('It will not move', 'write it down', null, 'finding')],
      stage: screw('loosen'),
    }
  }
  if (valve.nut === 'nipped') {
    if (here.verdict === 'unproved') return orSetAgain(trialThing(view, valve, 'nipped'), valveId)
    if (here.verdict !== 'in') return {
      label: `${name}, nipped`, instruction: 'It moved: loosen the nut again', why: `${here.reason} Locking often moves it; the next round aims off.`,
      keys: [key('Nut is free', 'go round again', { type: 'nut-loosened', payload: { valveId } })], stage: screw('loosen'),
    }
    const after = { kind: 'torqued' as const, torqueNm: nm }
    return {
      label: `${name}, lock`, instruction: `Torque the nut${nm === null ? '' : ` to ${Number(nm.toFixed(1))} N·m`}, feel ${bladeWords([bladeMm])}`,
      why: `${nm === null ? 'The spec gives no torque: firm, screw held still.' : `${formatTorque(nm)}.`} Blade out while you pull: a pinched one is ruined.`,
      keys: feelKeys(valveId, bladeMm, after), stage: screw('torque'), trial: { valveId, bladeMm, after },
    }
  }
  if (here.verdict === 'in') {
    const after = { kind: 'nipped' as const }
    return {
      label: `${name}, before lock`, instruction: `Hold the screw, nip the nut, feel ${bladeWords([bladeMm])}`,
      why: `${here.reason} The screw likes to follow the nut: hold it still.`,
      keys: feelKeys(valveId, bladeMm, after), stage: screw('nip'), trial: { valveId, bladeMm, after },
    }
  }
  const { turn, deg } = nextTurn(view, valve)
  const after = { kind: 'screw' as const, deg: Math.round(deg) }
  const flats = `${flatsWords(deg)}${turn.kind === 'turn' ? '' : ', a guess: only one side is known'}`
  return {
    label: `${name}, before lock`,
    instruction: `Turn the screw ${turnWords(deg)}, feel ${bladeWords([bladeMm])}`,
    why: `${againWords(view, present ?? latestReading(valve), valveId)}That is ${flats}.`,
    keys: feelKeys(valveId, bladeMm, after, { 'free': 'still loose', 'drag': 'nip the nut next', 'no-go': 'past it' }),
    stage: screw('before lock', turn, Math.round(deg)), trial: { valveId, bladeMm, after },
  }
}
