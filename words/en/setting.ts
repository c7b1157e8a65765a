import type { Adjuster } from '../../core/engine'
import type { Feel } from '../../core/feeler'
import type { SetBy } from '../../core/job'
import type { Tell, Text } from '../../core/said'
import { formatLength, formatTorque } from '../../core/units'
import { capital, theValve, within } from './grammar'
import { flats, screwTurn } from './turns'

interface OfValve {
  valve: string
}
interface By {
  by: SetBy
}

/** How the parts of an adjuster are called: what turns, what locks it, what is nipped, what is held. */
const PARTS: Record<SetBy, { turned: string; nut: string; nip: string }> = {
  'screw': { turned: 'screw', nut: 'locknut', nip: 'nut' },
  'pivot nut': { turned: 'pivot nut', nut: 'lock screw', nip: 'lock screw' },
  'self-locking nut': { turned: 'pivot nut', nut: 'pivot nut', nip: 'pivot nut' },
  'pivot nut under a second': { turned: 'pivot nut', nut: 'upper nut', nip: 'upper nut' },
}
/** Sizes of key and wrench, mm, where they are on record. */
interface Sizes {
  headMm: number | null
  nutMm: number | null
}
const sized = (mm: number | null): string => (mm === null ? '' : `${mm} mm `)
const TOOLS: Record<Adjuster['head'], string> = {
  'slot': 'driver that fills the slot',
  'square': 'square key',
  'hex socket': 'hex key',
  'Torx': 'Torx key',
}

/** The Set step: loosen, turn, nip, lock. */
export const setting = {
  'adjuster.tools': ({ by, head, headMm, nutMm }: By & Pick<Adjuster, 'head'> & Sizes) => {
    const key = `${sized(headMm)}${TOOLS[head]}`
    const wrench = `${sized(nutMm)}wrench`
    if (by === 'self-locking nut') return `a ${wrench} on the pivot nut`
    if (by === 'pivot nut under a second') return `a ${wrench} on the pivot nut, another on the nut above it`
    return by === 'pivot nut'
      ? `a ${key} for the lock screw, a ${wrench} on the nut`
      : `a ${key} for the screw, a ${wrench} on the locknut`
  },
  'adjuster.gain.valve-end': 'Screw at the valve: the gap moves as the screw does.',
  'adjuster.gain.pushrod-end': ({ rockerRatio }: { rockerRatio: number }) =>
    `Screw at the push-rod: the gap moves ${rockerRatio} times the screw’s travel.`,
  'adjuster.gain.pivot-nut': ({ gain }: { gain: number }) => `Pivot nut: the gap moves ${gain} times its travel.`,

  'set.no-adjuster': ({ valve }: OfValve) => `${capital(theValve(valve))} has no adjuster`,
  'set.no-adjuster.why': 'There is nothing to turn here: the fix is at the seat, the tip or the lifter.',

  'set.cannot.label': ({ valve }: OfValve) => `${valve}: cannot be set`,
  'set.spins': ({ valve }: OfValve) => `The ${within(valve)} stud turns with its nut`,
  'set.spins.why': 'Turning here doesn’t move the gap. The stud must be fixed first: write it down for the owner.',

  'set.far.label': ({ valve }: OfValve) => `${valve}: far from as found`,
  'set.far': ({ by, turns }: By & { turns: number }) =>
    `Stop: the ${PARTS[by].turned} is ${turns.toFixed(1)} turns from where you found it`,
  'set.far.why': ({ by, closed }: By & { closed: number }) =>
    `Valves are never that far off. Is it the right ${PARTS[by].turned}, and is the valve closed? Chance that it is safely closed here: ${closed} %.`,

  'set.left.label': ({ valve }: OfValve) => `${valve}: as it was found`,
  'set.left': ({ valve }: OfValve) => `${capital(theValve(valve))} stays as you found it`,
  'set.left.why':
    'Its screw didn’t bring it into spec here: the valve may not be closed. Find the position again, or leave it.',

  'set.without-blade': ({ set, others }: { set: string; others: readonly string[] }) =>
    `No blade or stack in ${set} can prove this spec. Set it by the screw’s angle, as an estimate, or use ${others.length ? others.join(' or ') : 'a finer set'}.`,

  'set.rounds.label': ({ valve, rounds }: OfValve & { rounds: number }) => `${valve}, set ${rounds} times`,
  'set.rounds': ({ valve }: OfValve) => `${capital(theValve(valve))} won’t stay where you set it`,
  'set.rounds.why':
    'Check the thread, the nut and the seat before another round. Leave it and say why, or go one more round.',

  'set.to-be-set.label': ({ valve }: OfValve) => `${valve}, to be set`,
  'set.loosen': ({ valve, by }: OfValve & By) =>
    by === 'self-locking nut'
      ? `Put the wrench on the ${within(valve)} pivot nut`
      : `Loosen the ${within(valve)} ${PARTS[by].nut}`,
  'set.loosen.note': ({ head }: Pick<Adjuster, 'head'>) =>
    `First note where the ${head === 'slot' ? 'slot' : 'key'} points: mark one end.`,

  'set.was-in': 'It was within limits as found, and nothing has been set since.',
  'set.was-in.feel-again': ({ opens }: { opens: 'nut' | 'cam' }) =>
    `Try the blades once more before ${opens === 'nut' ? 'you loosen it' : 'the cam comes out'}: ` +
    'Undo takes back the last try.',

  'set.nipped.label': ({ valve }: OfValve) => `${valve}, nipped`,
  'set.it-moved': ({ by }: By) =>
    by === 'self-locking nut' ? 'It moved: put the wrench on again' : `It moved: loosen the ${PARTS[by].nip} again`,
  'set.it-moved.why': 'The next round allows for the nut’s shift.',

  'set.lock.label': ({ valve }: OfValve) => `${valve}, lock`,
  'set.lock': ({ by, blade }: By & { blade: string }) =>
    by === 'self-locking nut' ? `Leave the nut alone, feel ${blade} again` : `Lock the ${PARTS[by].nip}, feel ${blade}`,
  'set.torque': ({ by, blade, torqueNm }: By & { blade: string; torqueNm: number }) =>
    `Torque the ${PARTS[by].nip} to ${Number(torqueNm.toFixed(1))} N·m, feel ${blade}`,
  'set.own-grip':
    'This nut holds by its own grip on the thread. If it turned easily, it is worn: replace it, and set the valve again.',
  'set.torque.none': 'The spec gives no torque: tighten it firmly, screw held still.',
  'set.torque.by-hand': ({ torqueNm }: { torqueNm: number }) => `${formatTorque(torqueNm)}.`,
  'set.torque.wrench': ({ torqueNm, wrench, at }: { torqueNm: number; wrench: string; at: string }) =>
    `${formatTorque(torqueNm)}, ${wrench} at ${at}.`,
  'set.torque.adapter': ({ wrench, adapter, at }: { wrench: string; adapter: string; at: string }) =>
    `Set ${wrench} to ${at}: ${adapter} is in line.`,
  'set.blade-in': 'Leave the blade in while you pull: stop if it pinches.',
  'set.blade-out': 'Take the blade out while you pull: pinching ruins it.',

  'set.no-change.label': ({ valve }: OfValve) => `${valve}: no change`,
  'set.no-change': ({ valve, by }: OfValve & By) =>
    `Is that the ${within(valve)} ${PARTS[by].turned}, and does it turn?`,
  'set.no-change.why': ({ by }: By) =>
    `It was turned, and the blade feels the same. It may be another valve’s ${PARTS[by].turned}, or the stud turns with its nut.`,

  'set.before-lock.label': ({ valve }: OfValve) => `${valve}, before lock`,
  'set.nip': ({ by, blade }: By & { blade: string }) =>
    by === 'self-locking nut'
      ? `Take the wrench off the nut, feel ${blade}`
      : `Hold the ${PARTS[by].turned}, nip the ${PARTS[by].nip}, feel ${blade}`,
  'set.nip.by-angle': 'By the screw’s angle it’s in spec: lock it, then prove it with blades.',
  'set.nip.as-near': 'It won’t get closer with this set and screw: lock it, then see what the blades say.',
  'set.nip.felt': ({ blade, feel }: { blade: string; feel: Feel }) => `${blade}: ${feel}.`,
  'set.nip.with-shift': 'With the nut’s shift it ends up in spec.',
  'set.nip.hold-still': 'It turns with the nut: hold it still.',

  'set.feel-again': ({ valve, blade }: OfValve & { blade: string }) => `Try ${blade} in ${theValve(valve)} again`,
  'set.feel-again.why': 'The crank was moved since: feel it once more before you turn the screw.',
  'set.telltale': ({ valve, blade }: OfValve & { blade: string }) => `Try ${blade} in ${theValve(valve)} now`,
  'set.telltale.why': ({ by, blade }: By & { blade: string }) =>
    `${blade} wouldn’t go before you opened it. If it goes now, the ${PARTS[by].turned} works; if not, it may not move the rocker at all.`,
  'set.turn': ({ by, deg, blade }: By & { deg: number; blade: string }) =>
    `Turn the ${PARTS[by].turned} ${screwTurn(deg)}, feel ${blade}`,
  'set.turn.should-drag': ({ blade }: { blade: string }) => `${blade} slides freely; it should drag.`,
  'set.turn.how-far': ({ deg, doubt }: { deg: number; doubt: Text }, tell: Tell) =>
    `That is ${flats(deg)}, ${tell(doubt)}.`,

  'key.loose': 'It’s loose',
  'key.wrench-is-on': 'The wrench is on',
  'key.loose.help': ({ by }: By) => `${PARTS[by].turned} hasn’t moved`,
  'key.loose.one-more-round': 'one more round',
  'key.loose-noted': 'Loose; noted',
  'key.loose-noted.help': 'where the mark points, like 2:30',
  'key.wont-budge': 'It won’t budge',
  'key.leave-as-it-is': 'Leave it as it is',
  'key.once-more': 'Once more',
  'key.once-more.help': 'the nut is loose again',
  'key.turned-back-and-locked': 'Turned back and locked',
  'key.turned-back-and-locked.help': 'as it was found',
  'key.right-screw': 'It turns, and it’s the right one',
  'key.right-screw.help': 'go on',
  'key.other-screw': 'It was another one',
  'key.other-screw.help': 'I turned that back',
  'key.stud-turns': 'The stud turns with it',
  'key.stud-turns.help': 'nothing can be set',

  /** What the shelf’s wrenches can be said to be doubtful for. */
  'wrench.too-long': ({ adapter, wrench }: { adapter: string; wrench: string }) =>
    `${adapter} turned back is longer than ${wrench}. Turn it to 90° or straight on.`,
  'wrench.off-scale': ({
    settingNm,
    under,
    wrench,
    scale,
  }: {
    settingNm: number
    under: boolean
    wrench: string
    scale: string
  }) =>
    `${formatTorque(settingNm)} is ${under ? 'under' : 'over'} the scale of ${wrench}, ${scale}. Take another wrench.`,
  'wrench.out-of-date': ({ wrench, date }: { wrench: string; date: string }) =>
    `${wrench} was due for calibration on ${date}.`,

  /** By shim: old ones read, new ones fitted, the cam back. */
  'shim.with-new.phase': 'with its new shim',
  'shim.every-blade': 'Every blade went in so far',
  'shim.every-blade.why':
    'The reading doesn’t tell how thick a shim it needs. Try thicker blades, or leave it and say why.',
  'shim.label': ({ valve }: OfValve) => `${valve}, by its shim`,
  'shim.read': ({ valve }: OfValve) => `Read the ${within(valve)}’s shim`,
  'shim.read.why':
    'The cam comes out for it: mark the chain, keep the dowels. Measure the shim as well: engravings wear.',
  'shim.in.label': 'Shims are in',
  'shim.cam-back': 'Put the cam back, chain on its marks',
  'shim.cam-back.why':
    'Tighten the bridge bolts evenly, to the manual’s torque. Turn it over gently by hand: it must not bind. Then find the stop again.',
  'shim.none-would-do': ({ valve }: OfValve) => `No shim brings ${theValve(valve)} into spec`,
  'shim.none-would-do.why': 'No available size ends up within the limits.',
  'shim.put-back': ({ size, valve }: OfValve & { size: string }) => `Put ${size} back in ${theValve(valve)}`,
  'shim.fit': ({ size, valve }: OfValve & { size: string }) => `Fit ${size} in ${theValve(valve)}`,
  'shim.sum': ({
    fitted,
    measured,
    wanted,
    makes,
  }: {
    fitted: string
    measured: string
    wanted: string
    makes: string
  }) => `${fitted} fitted + ${measured} measured − ${wanted} wanted = ${makes}.`,
  'shim.gives': ({ clearance }: { clearance: string }) => `Gives ${clearance} mm.`,
  'shim.no-clearance': 'There was no clearance at all: this is a first guess, to be measured again.',
  'shim.number-side': 'Number side to the valve.',
  'shim.from.stock': 'from the shelf',
  'shim.from.bought': 'to be bought',
  'shim.from.valve': ({ valve }: OfValve) => `out of ${theValve(valve)}`,
  'shim.from.stays': 'stays',
  'shim.from.stock.sentence': 'From the shelf.',
  'shim.from.bought.sentence': 'To be bought.',
  'shim.from.valve.sentence': ({ valve }: OfValve) => `Out of ${theValve(valve)}.`,
  'shim.from.stays.sentence': 'Stays.',
  'key.shim-read': 'Read it',
  'key.shim-read.help': 'engraved and measured',
  'key.shim-in': ({ size }: { size: string }) => `${size} is in`,
  'key.another-size': 'Another size',
  'key.some-size': 'Fit some size',
  'key.cam-back': 'Cam is back',
  'key.cam-back.help': 'turned over by hand',
  'figure.outside': ({ figure, leastMm, mostMm }: { figure: Text; leastMm: number; mostMm: number }, tell: Tell) =>
    `${tell(figure)} lies outside both printed figures, ${formatLength(leastMm, 'mm')} to ${formatLength(mostMm, 'mm')} mm. Choose inside them, or change the spec.`,
}
