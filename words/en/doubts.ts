import type { Role, UnitSlip } from '../../core/engine'
import type { Slip } from '../../core/spec-book'
import { listed, theValve } from './grammar'

const ROLES: Record<Role, string> = { intake: 'Intake', exhaust: 'Exhaust' }
const SLIPS: Record<Slip, string> = {
  10: 'ten times',
  25.4: '25.4 times (a wrong unit, for instance)',
  100: 'a hundred times',
  1000: 'a thousand times',
}
const meantWords = (meant: string[]): string => (meant.length ? ` Was ${meant.join(', or ')} meant?` : '')
const PARTS = { locknut: 'a locknut', cover: 'a cover bolt', plug: 'a spark plug' }
interface Torque {
  of: keyof typeof PARTS
  thread: string | null
  nm: string
  most: string | null
  least: string
  meant: string[]
}
interface AtStop {
  valve: string
  deg: string
  makers: boolean
}
const placeOf = (makers: boolean): string => (makers ? 'the maker’s stop' : 'compression TDC')

/** What in a spec may be a slip, with both readings: a person says which is meant. */
export const doubts = {
  'doubt.another-figure': 'another figure',
  'doubt.another-angle': 'another angle',
  'doubt.meant': ({ meant }: { meant: string[] }) => meant.join(', or '),
  'doubt.figure-of': ({ role, figure }: { role: Role; figure: string }) => `${role} ${figure}`,
  'doubt.units': ({
    role,
    other,
    otherMm,
    mm,
    slip,
    apartMm,
  }: {
    role: Role
    other: string
    otherMm: string
    mm: string
    slip: Slip | null
    apartMm: string
  }) =>
    `${ROLES[role]}: the page gives two readings. ${other} is ${otherMm} mm, and the page says ${mm} mm${slip ? `: ${SLIPS[slip]} the other` : `, ${apartMm} mm apart, more than rounding explains`}.`,
  'doubt.range': ({ role, slip: { mm, wide, meant } }: { role: Role; slip: UnitSlip }) =>
    `${ROLES[role]}: ${mm} mm is ${wide ? 'wider' : 'closer'} than a valve is set to.${meantWords(meant)} Look at the source again.`,
  'doubt.tenfold': ({ slip }: { slip: Slip }) =>
    `One is ${SLIPS[slip]} the other. A slip of the decimal point, or as printed?`,
  'doubt.tighter':
    'The exhaust is set tighter than the intake. Exhausts run hotter, so the opposite is usual. Exchanged, or as printed?',
  'doubt.both': ({ wide, meantMm }: { wide: boolean; meantMm: string[] }) =>
    `Both figures are ${wide ? 'wide' : 'close'} for a small engine. Was ${meantMm.join(' and ')} mm meant?`,
  'doubt.both-mm': ({ mm }: { mm: string[] }) => `${mm.join(' and ')} mm`,
  'doubt.torque': ({ of, thread, nm, most, least, meant }: Torque) => {
    const part = thread === null ? PARTS[of] : `a ${thread} nut`
    return `${nm} N·m is ${most === null ? `less than ${part} needs: ${least} N·m at least` : `more than ${part} takes: ${most} N·m at most`}.${meantWords(meant)}`
  },
  'doubt.open': ({ valve, deg, makers }: AtStop) =>
    `By the cam figures ${theValve(valve)} is not closed at ${placeOf(makers)}, ${deg}°. ` +
    'One of the two is a slip, or a decompressor holds it.',
  'doubt.open.measures': ({ valve, deg, makers }: AtStop) =>
    `${placeOf(makers)} at ${deg}° measures ${theValve(valve)}`,
  'doubt.open.holds': 'the cam figures hold it open there',
  'doubt.left-out': ({ valves }: { valves: string[] }) =>
    `The list of stops has no place for ${listed(valves.map(theValve))}. ` +
    'Left out when it was typed, or not listed by the maker?',
  'doubt.left-out.stop': 'a stop needs another valve',
  'doubt.left-out.none': 'the maker lists none',
  'doubt.unchecked':
    'Without cam timing nothing checks this list: a valve that is listed at the wrong stop would be set wide open. Is each line as printed?',
  'doubt.unchecked.read': 'each line was read twice',
  'doubt.unchecked.cam': 'cam timing can be given too',
  'doubt.firing': ({
    cylinder,
    before,
    deg,
    meantDeg,
  }: {
    cylinder: string
    before: string
    deg: string
    meantDeg: string | null
  }) =>
    `${cylinder} would fire ${deg}° from ${before}.${meantDeg === null ? '' : ` Was ${meantDeg}° meant?`} Angles are of the 720° cycle.`,
  'doubt.exchanged': ({ role, opens, closes }: { role: Role; opens: string; closes: string }) =>
    `The ${role} opens at ${opens}° and closes at ${closes}°: the opposite is usual. Exchanged, or as printed?`,
  'doubt.timing': ({ opens, closes }: { opens: string; closes: string }) => `opens ${opens}°, closes ${closes}°`,
  'doubt.hydraulic':
    'No valve has an adjuster, and clearances are given. Hydraulic lifters are not set by blade: is this the right engine, or is there a screw or a shim?',
  'doubt.hydraulic.measured': 'nothing can be set: measured only',
  'doubt.hydraulic.screw': 'a screw or a shim',
  'doubt.wide': ({
    role,
    widthMm,
    figureMm,
    meantMm,
  }: { role: Role } & Record<'widthMm' | 'figureMm' | 'meantMm', string>) =>
    `${ROLES[role]}: limits ${widthMm} mm apart around ${figureMm} mm are wider than the figure. Was ± ${meantMm} meant?`,
}
