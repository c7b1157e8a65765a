import { cylinderById, runsWords, type Engine, type Place, valveById } from '../engine'
import type { School } from '../stops'
import type { TargetSchool } from '../feeler'
import type { BladeHabit } from './pin'

export const SCHOOL_NAMES: Record<School, string> = {
  'maker': 'The maker’s stops',
  'marks': 'Marks',
  'rod': 'Rod and past top',
  'cam-signs': 'Cam signs',
  'watching': 'Watching the intake',
  'exhaust-opens': 'Exhaust opens, intake closed',
  'partner': 'Partner valve down',
}

/** What each school asks for, in a line. Common practice. */
export const SCHOOL_HELP: Record<School, string> = {
  'maker': 'Each stop as the manual lists it, with the valves it names.',
  'marks': 'Turn to the top mark, feel the rockers for the stroke.',
  'rod': 'Follow the piston with a soft rod; past top where a decompressor holds a valve.',
  'cam-signs': 'The signs on cam or sprocket tell the stroke by themselves.',
  'watching': 'Watch one intake open and shut, then on to the top.',
  'exhaust-opens': 'Exhaust just opening: set intakes. Intake just closed: set exhausts. No marks needed.',
  'partner': 'A valve fully down on one cylinder: its partner’s is closed.',
}

/** The danger or the trap that belongs to a school, or none. Common practice. */
export const SCHOOL_CAUTION: Record<School, string> = {
  'maker': 'Go by the manual’s letters: each cylinder has its own.',
  'marks': 'The line is the mark, not the letter. F and the advance lines come before T.',
  'rod': 'Wood, straw or plastic: steel marks the crown or jams where the bore is angled. Never with the starter.',
  'cam-signs': 'Where two signs stand half a turn apart, make sure which is which.',
  'watching': 'Do not look away between shutting and top: an interrupted watch tells nothing.',
  'exhaust-opens': 'Not where a decompressor holds the exhaust: it may be held open just after the intake closes.',
  'partner': 'Not where a decompressor works on that valve: it may be held open just there.',
}

/** “left ” before a part's name where the engine has several cylinders. */
const whose = (engine: Engine, cylinderId: string): string =>
  engine.cylinders.length > 1 ? `${cylinderById(engine, cylinderId).name.toLowerCase()} ` : ''
const valveWords = (engine: Engine, valveId: string): string => `the ${valveById(engine, valveId).name.toLowerCase()}`

/** How a place is reached, as the end of “Turn until …”. */
export function untilWords(engine: Engine, place: Place): string {
  switch (place.kind) {
    case 'mark':
      return `${engine.marks[place.markIndex]?.letter ?? 'the mark'} lines up`
    case 'piston-top':
      return `the rod ${engine.cylinders.length > 1 ? `in the ${whose(engine, place.cylinderId)}cylinder ` : ''}stops rising`
    case 'rod-drop':
      return `the ${whose(engine, place.cylinderId)}piston is ${place.dropMm} mm past top`
    case 'cam-mark':
      return engine.camMarks[place.camMarkIndex]?.words ?? 'the cam sign is right'
    case 'valve':
      return `${valveWords(engine, place.valveId)} ${place.sight === 'just closed' ? 'has just closed' : place.sight === 'open' ? 'is open' : place.sight === 'fully open' ? 'is fully down' : 'starts to open'}`
  }
}

/** A place as somebody stands on it: “T”, “the top”, “6 mm past top”. */
export function placeWords(engine: Engine, place: Place): string {
  switch (place.kind) {
    case 'mark':
      return engine.marks[place.markIndex]?.letter ?? 'the mark'
    case 'piston-top':
      return `the ${whose(engine, place.cylinderId)}top`
    case 'rod-drop':
      return `${place.dropMm} mm past ${whose(engine, place.cylinderId)}top`
    case 'cam-mark':
      return 'the cam sign'
    case 'valve':
      return `${valveWords(engine, place.valveId)} ${place.sight === 'starts to open' ? 'just opening' : place.sight === 'fully open' ? 'fully down' : place.sight}`
  }
}

/** A place looked at again, for “Is … still …?”. */
export function stillWords(engine: Engine, place: Place): string {
  switch (place.kind) {
    case 'mark':
      return `Is ${placeWords(engine, place)} still at the pointer?`
    case 'piston-top':
      return `Is the ${whose(engine, place.cylinderId)}piston still at its top?`
    case 'rod-drop':
      return `Is the ${whose(engine, place.cylinderId)}piston still ${place.dropMm} mm down?`
    case 'cam-mark':
      return 'Is the cam sign still right?'
    case 'valve':
      return `Is ${placeWords(engine, place)} still?`
  }
}

/** Which way a screw is turned, clockwise positive. */
export const directionWords = (deg: number): string => (deg >= 0 ? 'clockwise' : 'counterclockwise')

/** Which way and how to turn: “clockwise seen from the flywheel, by the crank nut”. */
export const turningWords = ({ turning }: Engine): string =>
  `${runsWords({ turning })} seen from ${turning.seenFrom}, by ${turning.means}`

/** A drop in both units: “6 mm (0.24 in)”. */
export const dropWords = (dropMm: number): string => `${dropMm} mm (${(dropMm / 25.4).toFixed(2)} in)`

/**
 * A turn of the crank in degrees and turns: “¾ turn (270°)”, “one turn (360°)”, “1½ turns (540°)”, “a little over
 * ½ turn (215°)”.
 */
export function crankTurnWords(deg: number): string {
  const whole = Math.round(deg)
  const quarters = Math.round(deg / 90)
  const [turns, part] = [Math.floor(quarters / 4), ['', '¼', '½', '¾'][quarters % 4]!]
  const said = quarters === 4 ? 'one turn' : `${turns || ''}${part} turn${quarters > 4 ? 's' : ''}`
  const off = deg - quarters * 90
  if (quarters === 0) return `${whole}°`
  return `${Math.abs(off) < 3 ? '' : off > 0 ? 'a little over ' : 'a little under '}${said} (${whole}°)`
}

export const TARGET_NAMES: Record<TargetSchool, string> = {
  'middle': 'The middle of the limits',
  'figure': 'The printed figure',
  'loose-exhaust': 'Exhaust at its loose end',
}
export const HABIT_NAMES: Record<BladeHabit, string> = {
  'out at torque': 'Blade out for the torque',
  'in': 'Blade in throughout',
  'out': 'Blade out throughout',
}

export const PROOF_NAMES: Record<'pair' | 'drag', string> = {
  pair: 'One blade goes, a thicker one does not',
  drag: 'A drag is enough',
}

/** Degrees as a person turns a screw: whole, in steps of five from 30° up. */
export const roundTurn = (deg: number): number => (Math.abs(deg) >= 30 ? Math.round(deg / 5) * 5 : Math.round(deg))

/** A turn in words: “15° clockwise”. */
export const turnWords = (deg: number): string => `${Math.abs(roundTurn(deg))}° ${directionWords(deg)}`

const PARTS: [number, string][] = [
  [15, '¼'],
  [20, '⅓'],
  [30, '½'],
  [40, '⅔'],
  [45, '¾'],
]
/** A fraction of a flat is said only where it is right within this. Degrees */
const FRACTION_WITHIN_DEG = 2

/**
 * A turn as flats of the nut, where a fraction is right within 2°: “a quarter flat”, “1½ flats”; else in tenths: “a
 * touch: 6°, a tenth of a flat”.
 */
export function flatsWords(deg: number): string {
  const turned = Math.abs(deg)
  const whole = Math.floor((turned + FRACTION_WITHIN_DEG) / 60)
  const rest = turned - whole * 60
  const part =
    Math.abs(rest) <= FRACTION_WITHIN_DEG ? '' : PARTS.find(([at]) => Math.abs(rest - at) <= FRACTION_WITHIN_DEG)?.[1]
  const many = (flats: string, count: number) => `${flats} flat${count > 1 ? 's' : ''}`
  if (part !== undefined && whole + Number(part !== '') > 0)
    return many(`${whole || ''}${part}`, whole + Number(whole > 0 && part !== ''))
  if (turned < 10)
    return `a touch: ${Math.max(1, Math.round(turned))}°, ${turned < 4.5 ? 'a twentieth' : 'a tenth'} of a flat`
  const tenths = Math.round(turned / 6) / 10
  return tenths < 1 ? `${tenths} of a flat` : many(String(tenths), tenths)
}

/** Names of an engine's valves by id. */
export const valveNames = (engine: Engine): Record<string, string> =>
  Object.fromEntries(engine.valves.map(v => [v.id, v.name]))

/** Several names in a sentence: “a”, “a and b”, “a, b and c”. */
export const listed = (names: string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`
