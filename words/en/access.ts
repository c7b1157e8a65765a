import {
  fastenerCount,
  type Fasteners,
  type Part,
  type Pattern,
  type SafeThing,
  type SealKind,
} from '../../core/access'
import type { Complaint, Likelier, Pressure, PressureUnit, Suspect } from '../../core/complaint'
import type { Role, TurnedBy } from '../../core/engine'
import type { Tell, Text } from '../../core/said'
import { formatTorque } from '../../core/units'
import { day } from './grammar'

const PATTERNS: Record<Pattern, string> = {
  'crossing': 'crossing over, a little at a time',
  'from the middle': 'from the middle outward, a little at a time',
  'alternating': 'alternating, a little at a time',
  'one at a time': 'one at a time',
}
const sentence = (words: string): string => (words ? `${words.charAt(0).toUpperCase()}${words.slice(1)}.` : '')
const all = (...parts: (string | false | null)[]): string => parts.filter(Boolean).join(' ')

function oneKind({ count, threadMm, lengthMm, odd }: Fasteners): string {
  const size = threadMm === null ? '' : ` M${threadMm}${lengthMm === null ? '' : ` × ${lengthMm}`}`
  return `${count} ${count === 1 ? 'fastener' : 'fasteners'}${size}${odd ? ` (${odd})` : ''}`
}
const fastenersOf = (part: Part): string => part.fasteners.map(oneKind).join(' and ')
function sealOf({ seal }: Part): string {
  if (!seal) return ''
  const on = seal.on ? ` on the ${seal.on}` : ''
  const care = [
    seal.clean && 'clean both faces',
    seal.oiled && 'oil it',
    seal.skinMinutes !== null && `let it skin ${seal.skinMinutes} min`,
  ].filter(Boolean)
  const name = { 'gasket': 'gasket', 'O-ring': 'O-ring', 'half-moon': 'half-moon seals', 'compound': 'compound' }[
    seal.kind
  ]
  return `${name}${on}${care.length ? `: ${care.join(', ')}` : ''}`
}
const place = ({ where, side }: Part): string => [side && `${side} side`, where].filter(Boolean).join(', ')
const own = ({ kind, cylinderId }: Part): string =>
  kind === 'plug lead' && cylinderId !== null ? 'Onto its own plug, pushed home until it clicks.' : ''
const capHome = ({ kind }: Part): string =>
  kind === 'timing plug' || kind === 'crank cap' || kind === 'screw cap'
    ? 'Start it by hand: plastic and light alloy crack and cross-thread.'
    : ''

const SAFE: Record<SafeThing, string> = {
  'stand': 'on its stand, held so that it can’t roll or tip',
  'gear': 'in neutral',
  'key': 'key out',
  'blade': 'blade or PTO off, blade blocked',
  'fuel': 'fuel off',
  'battery': 'battery off, negative lead first',
  'plug lead': 'plug lead off and tied back',
  'recoil': 'starter rope not pulled',
  'hoses': 'hoses off and plugged',
}
const LIVE: Record<SafeThing, string> = {
  'stand': 'off the stand',
  'gear': 'gear as it was',
  'key': 'key back',
  'blade': 'blade or PTO free again',
  'fuel': 'fuel on, no drip',
  'battery': 'battery on, negative lead last',
  'plug lead': 'plug lead on',
  'recoil': 'starter rope free',
  'hoses': 'hoses on, plugs out of them',
}
const COMPLAINT_WORDS: Record<Complaint, string> = {
  'due': 'due for its check',
  'hard to start cold': 'hard to start cold',
  'hard to start hot': 'hard to start hot',
  'kicks back': 'kicks back',
  'ticks cold': 'ticks when cold',
  'ticks hot': 'ticks when hot',
  'loses power high up': 'loses power high up',
  'pops on the overrun': 'pops when you let off the gas',
  'stalls': 'stalls',
  'burns oil': 'burns oil',
}
const LIKELIER: Record<Likelier, string> = {
  tight: 'a tight valve',
  loose: 'a loose valve',
  decompressor: 'a decompressor that no longer reaches its valve',
}
const LIKELIEST: Record<Suspect, string> = {
  'fuel and air': 'fuel and air',
  'ignition': 'ignition',
  'compression': 'compression',
  'decompressor': 'the decompressor',
  'cam chain': 'the cam chain and its tensioner',
  'exhaust leak': 'an exhaust leak',
  'rings and guides': 'rings and valve guides',
}
const ENDS = { 'replaced': 'replaced', 'to do': 'still to do', 'not to be had': 'part not available, the old one kept' }
type Read = DistributiveOmit<Pressure, 'cylinderId'>
type DistributiveOmit<T, K extends string> = T extends unknown ? Omit<T, K> : never
interface Old {
  role: Role
  text: string
  source: string
  correctedBy: string
  correctedOn: string
}
const TURN_BY: Record<TurnedBy, string> = {
  'crank nut': 'A long handle on the crank nut, plug out, running way only: backward it may come loose.',
  'flywheel': 'By hand at the flywheel, plug out. Fingers off the fins.',
  'fan': 'By hand at the fan, plug out. Never with a bar between its blades.',
  'pull starter': 'Pull the rope slowly, plug out. Past compression it may run on.',
  'wheel in gear': 'Top gear, rear wheel off the ground on a stand, plug out: nudge the wheel. A jack is no stand.',
  'kick': 'Press the lever by hand, plug out. It can kick back.',
}
/** What bites where a machine has such a thing; empty where nothing more is to be said. */
const MIND: Record<SafeThing, string> = {
  'stand': 'A jack is no stand: it can sink or tip.',
  'gear': '',
  'key': '',
  'blade': 'Blade or PTO turns with the crank: block it, or take its lead off too.',
  'fuel': '',
  'battery': 'Battery: negative lead off first. No ring or wrench across it.',
  'plug lead': '',
  'recoil': 'A hand in the rope is pulled along when it kicks.',
  'hoses': '',
}
interface FoundAndDone extends Record<'measured' | 'of' | 'unproved' | 'set' | 'setAndProved', number> {
  tight: Text[]
  loose: Text[]
}
interface OfPart {
  part: Part
}
interface OfComplaint {
  complaint: Complaint
}

/** Parts and their seals, what is made safe and live, and what a machine came for. */
export const access = {
  'part.off': ({ part }: OfPart) =>
    all(
      sentence(place(part)),
      sentence([fastenersOf(part), part.tool].filter(Boolean).join(', ')),
      sentence(part.trap),
      'Lay it out as it came off.',
    ),
  'part.back': ({ part, gasket }: OfPart & { gasket: string }) =>
    all(
      sentence(sealOf(part)),
      part.seal?.kind === 'gasket' && gasket ? `The spec says: ${gasket}.` : '',
      sentence(part.trap),
      own(part),
      capHome(part),
      fastenerCount(part) > 1
        ? `Start ${part.fasteners.length > 1 ? 'the odd one' : 'the awkward one'} by hand, tighten none before all ${fastenerCount(part)} are in.`
        : '',
    ) || 'The reverse of how it came off.',
  'part.seal': ({ part, spec }: OfPart & { spec: string }) =>
    all(sentence(sealOf(part)), spec ? `The spec says: ${spec}.` : ''),
  'part.tighten': ({ part }: OfPart) =>
    all(
      part.torqueNm === null
        ? 'The spec gives no torque: go by the maker’s manual.'
        : `${formatTorque(part.torqueNm)}${part.pattern ? `, ${PATTERNS[part.pattern]}` : ''}.`,
      sentence(part.trap),
      'Too tight cracks or strips.',
    ),
  'tighten.label': 'Tighten',
  'tighten.part': ({ item, torqueNm }: { item: Text; torqueNm: number | null }, tell: Tell) =>
    torqueNm === null ? `Tighten evenly: ${tell(item)}` : `Torque to ${Number(torqueNm.toFixed(1))} N·m: ${tell(item)}`,
  'gasket.of': ({ item }: { item: Text }, tell: Tell) => `Which gasket goes on: ${tell(item)}?`,
  'plug.one': ({ item }: { item: Text }, tell: Tell) => `How does ${tell(item)} look?`,
  'key.all-off': ({ count }: { count: number }) => `All ${count} are off`,
  'key.all-off.help': ({ last }: { last: string }) => `this one to: ${last}`,
  'key.all-back': ({ count }: { count: number }) => `All ${count} are back`,
  'key.all-back.help': ({ last }: { last: string }) => `this one to: ${last}`,

  'key.back-torqued': ({ torqueNm }: { torqueNm: number }) => `Back, ${formatTorque(torqueNm)}`,
  'key.back-torqued.help': 'by hand first, then the wrench',

  'nuts.label': 'Locknuts',
  'nuts': 'Go over every locknut. How many?',
  'nuts.why': ({ count }: { count: number }) =>
    `Touched or not, this engine has ${count}. A loose nut wrecks the valve train.`,
  'nuts.other': ({ count, said }: { count: number; said: number }) =>
    `You counted ${said}; this engine has ${count}. Look again: one was left out, or counted twice.`,
  'key.nuts': ({ count }: { count: number }) => `${count}, all tight`,
  'key.nuts.help': 'wrench on every one',
  'key.another-count': 'Another number',

  'safe.things': 'Make it safe, in this order',
  'safe.things.why': ({ things }: { things: SafeThing[] }) => sentence(things.map(t => SAFE[t]).join('; ')),
  'live.label': 'Ready to run',
  'live': 'Undo what made it safe, in this order',
  'live.why': ({ things }: { things: SafeThing[] }) =>
    all(sentence(things.map(t => LIVE[t]).join('; ')), 'No rag, tool or blade left in.'),
  'key.all-live': 'All done',
  'key.all-live.help': 'nothing left off',
  'safe-thing': ({ thing, live }: { thing: SafeThing; live: boolean }) =>
    sentence((live ? LIVE : SAFE)[thing]).slice(0, -1),

  'cured.label': 'The complaint',
  'cured': ({ complaint }: OfComplaint) => `It came in: ${COMPLAINT_WORDS[complaint]}. And now?`,
  'cured.why': 'Try it as the owner does: cold or hot, as the complaint says.',
  'cured.why.not-valves': 'Valve clearance seldom cures this one.',
  'cured.gone': 'It’s gone',
  'cured.gone.help': 'tried as the owner does',
  'cured.better': 'Better',
  'cured.better.help': 'not gone',
  'cured.same': 'The same',
  'cured.same.help': 'no change',
  'cured.cannot-tell': 'Can’t tell yet',
  'else.label': 'What else',
  'else': ({ complaint, result }: OfComplaint & { result: 'better' | 'same' | 'gone' }) =>
    `Still ${COMPLAINT_WORDS[complaint]}${result === 'better' ? ', though less' : ''}. What is looked at next?`,
  'else.why': ({ valvesIn }: { valvesIn: boolean }) =>
    `${valvesIn ? 'The valves are right, so this is other work, for a qualified technician.' : 'Not every valve is proved: they may still be the cause. Anything else is for a qualified technician.'} It goes on the sheet for the owner.`,
  'else.none': 'None of these',
  'else.finding': ({ complaint, suspect }: OfComplaint & { suspect: Suspect }) =>
    `Still ${COMPLAINT_WORDS[complaint]}: look at ${LIKELIEST[suspect]}`,
  'suspect.fuel and air': 'Fuel and air',
  'suspect.fuel and air.help': 'old fuel, jets, filter, intake leak',
  'suspect.ignition': 'Ignition',
  'suspect.ignition.help': 'plug, cap, coil, timing, key',
  'suspect.compression': 'Compression',
  'suspect.compression.help': 'leak-down: valves, rings, gasket',
  'suspect.decompressor': 'Decompressor',
  'suspect.decompressor.help': 'spring, weight, pin',
  'suspect.cam chain': 'Cam chain',
  'suspect.cam chain.help': 'chain, guide, tensioner',
  'suspect.exhaust leak': 'Exhaust leak',
  'suspect.exhaust leak.help': 'at the head and joints',
  'suspect.rings and guides': 'Rings and guides',
  'suspect.rings and guides.help': 'blue smoke, oil on the plug',
  'complaint': ({ complaint }: OfComplaint) => COMPLAINT_WORDS[complaint],
  'complaint.hint': ({ complaint, to }: OfComplaint & { to: readonly Likelier[] }) =>
    `${sentence(COMPLAINT_WORDS[complaint]).slice(0, -1)}: ` +
    `${to.map(t => LIKELIER[t]).join(' or ')} is more likely. A hint, not proof.`,
  'complaint.hint.none': ({ complaint }: OfComplaint) =>
    `${sentence(COMPLAINT_WORDS[complaint]).slice(0, -1)}: seldom the valves.`,

  'earlier.label': 'Found last time',
  'earlier': ({ part, words }: { part: string | null; words: Text }, tell: Tell) =>
    `${part ? `${part}: ` : ''}${tell(words)}. And now?`,
  'earlier.why': ({
    jobNumber,
    date,
    end,
  }: {
    jobNumber: number
    date: string
    end: 'replaced' | 'to do' | 'not to be had'
  }) => `Job ${jobNumber}, ${day(Date.parse(date))}: ${ENDS[end]}.`,
  'key.done-meanwhile': 'Done since',
  'key.done-meanwhile.help': 'looked at: it is right',
  'key.still-to-do': 'Still to do',
  'key.still-to-do.help': 'the owner is told again',
  'key.cannot-see': 'Can’t see it',
  'missing.earlier': 'Something found at the last visit was not looked at.',
  'did.earlier': ({ done }: { done: boolean }) => `Found last time: ${done ? 'done since' : 'still to do'}`,
  'missing.seal': ({ item }: { item: Text }, tell: Tell) => `Which seal went on is not recorded: ${tell(item)}.`,
  'missing.tight': ({ item, torqueNm }: { item: Text; torqueNm: number | null }, tell: Tell) =>
    `Not tightened: ${tell(item)}${torqueNm === null ? '' : `, ${formatTorque(torqueNm)}`}.`,
  'missing.nuts': ({ count }: { count: number }) => `The ${count} locknuts were not gone over.`,
  'missing.live': 'What was made safe is not undone.',
  'missing.complaint': ({ complaint }: OfComplaint) =>
    `Nobody said what became of this: ${COMPLAINT_WORDS[complaint]}.`,
  'missing.else': ({ complaint, valves }: OfComplaint & { valves: boolean }) =>
    valves
      ? `Still ${COMPLAINT_WORDS[complaint]}: what is looked at next is not written down.`
      : `What is looked at for this is not written down: ${COMPLAINT_WORDS[complaint]}.`,

  'did.nuts-checked': ({ count }: { count: number }) => `Locknuts gone over: ${count}`,
  'did.complaint-after': ({ complaint, result }: OfComplaint & { result: 'gone' | 'better' | 'same' }) =>
    `${sentence(COMPLAINT_WORDS[complaint]).slice(0, -1)}: ${result}`,
  'did.compression': ({ when, value, unit }: { when: 'before' | 'after'; value: number; unit: PressureUnit }) =>
    `Compression ${when}: ${value} ${unit}`,
  'did.leak-down': ({ when, value }: { when: 'before' | 'after'; value: number }) => `Leak-down ${when}: ${value} %`,
  'did.tightened-part': ({ item, torqueNm }: { item: Text; torqueNm: number | null }, tell: Tell) =>
    `${tell(item)} ${torqueNm === null ? 'tightened' : `torqued to ${formatTorque(torqueNm)}`}`,
  'did.came-off.all': ({ item, more }: { item: Text; more: number }, tell: Tell) =>
    `${tell(item)} and ${more} more off`,
  'did.went-back.all': ({ item, more }: { item: Text; more: number }, tell: Tell) =>
    `${tell(item)} and ${more} more back`,

  'sheet.each': ({ of }: { of: { part: Text; is: Text }[] }, tell: Tell) =>
    of.map(({ part, is }) => `${tell(part)}: ${tell(is)}`).join('; '),
  'sheet.complaint': ({ complaints, words }: { complaints: readonly Complaint[]; words: string }) =>
    [...complaints.map(c => COMPLAINT_WORDS[c]), words].filter(Boolean).join(', '),
  'sheet.cured': ({ complaint, result }: OfComplaint & { result: 'gone' | 'better' | 'same' | null }) =>
    `${sentence(COMPLAINT_WORDS[complaint]).slice(0, -1)}: ${result ?? 'not said what became of it'}`,
  'sheet.finding': (
    { part, words, end }: { part: string | null; words: Text; end: 'replaced' | 'to do' | 'not to be had' | null },
    tell: Tell,
  ) => `${part ? `${part}: ` : ''}${tell(words)}${end ? ` (${ENDS[end]})` : ''}`,
  'sheet.pressure': (read: Read & { cylinder: string | null }) =>
    [
      `${read.cylinder ? `${read.cylinder}, ` : ''}${read.kind === 'compression' ? 'compression' : 'leak-down'} ${read.when}: ${read.value} ${read.kind === 'compression' ? read.unit : '%'}`,
      read.kind === 'compression' && `throttle ${read.throttle}`,
      read.engine,
    ]
      .filter(Boolean)
      .join(', '),
  'owner.found': ({ measured, of, tight, loose, unproved, set, setAndProved }: FoundAndDone, tell: Tell) => {
    const list = (names: Text[], how: string) =>
      names.length === 0
        ? ''
        : `${names.length === 1 ? `the ${tell(names[0]!).toLowerCase()} valve` : `${names.length} valves`} too ${how}`
    const open = unproved > 0 ? `${unproved} that the feeler blades could not settle` : ''
    const found = [list(tight, 'tight'), list(loose, 'loose'), open].filter(Boolean).join(' and ')
    const looked = measured === of ? (of === 2 ? 'both valves' : `all ${of} valves`) : `${measured} of ${of} valves`
    const one = (count: number) => (count === 1 ? 'one was' : `${count} were`)
    const done =
      set === 0
        ? ''
        : setAndProved === set
          ? `; ${one(set)} set, and measured right afterward`
          : `; ${one(set)} set, of which ${setAndProved} measured right afterward`
    return `We measured ${looked} and found ${found || 'every one within its limits'}${done}.`
  },
  'owner.helped': ({
    results,
    valvesIn,
  }: {
    results: { complaint: Complaint; result: 'gone' | 'better' | 'same' }[]
    valvesIn: boolean
  }) => {
    const became = { gone: 'is gone', better: 'is better, not gone', same: 'is the same' }
    const each = results.map(({ complaint, result }) => `“${COMPLAINT_WORDS[complaint]}” ${became[result]}`).join(', ')
    if (results.every(r => r.result === 'gone')) return `${each}.`
    return `${each}; ${valvesIn ? 'the valves are right, so ' : ''}a technician should look further.`
  },

  'start-stage.do-not-use': ({ role, text, source, correctedBy, correctedOn }: Old) =>
    `Earlier printings say ${text} for the ${role} (${source}). Do not use it: ${correctedBy}, ${correctedOn}, corrects it.`,
  'list-stage.made-safe': 'Made safe',
  'list-stage.made-live': 'Put back in service, in this order',
  'list-stage.part': ({
    fasteners,
    tool,
    torqueNm,
    seal,
  }: Pick<Part, 'fasteners' | 'tool' | 'torqueNm'> & { seal: SealKind | null }) =>
    [fasteners.map(oneKind).join(' and '), tool, torqueNm !== null && formatTorque(torqueNm), seal]
      .filter(Boolean)
      .join(', '),
  'complaints-field.comes-for': 'What it came in for',

  'turn-by': ({ by }: { by: TurnedBy }) => TURN_BY[by],
  'key.kicked-on': 'It kicked on',
  'key.kicked-on.help': 'ran past, turned back, or I looked away',
  'mind.heading': 'Watch out',
  'mind.ready': ({ things }: { things: SafeThing[] }) =>
    [
      ...things.map(t => MIND[t]),
      'Tank and hoses: fuel vapor burns, so no flame and no heater near it.',
      'Cleaner and compressed air: eyes covered, never on hot metal.',
    ]
      .filter(Boolean)
      .join('\n'),
  'mind.close': ({ things }: { things: SafeThing[] }) =>
    [
      'A blade or rag left in goes through the engine.',
      'Alloy caps crack. A chain tensioner jumps out under its spring.',
      'Run it outdoors: exhaust gas kills in a room, a generator’s above all. Hot parts burn.',
      things.includes('battery') ? 'Battery: negative lead last.' : '',
    ]
      .filter(Boolean)
      .join('\n'),

  'blade.access': ({ access }: { access: string }) => `Getting there: ${access}.`,
  'gap-picture.over': ({ over }: { over: 'rocker' | 'lobe' }) => (over === 'lobe' ? 'Cam lobe' : 'Rocker'),
  'gap-picture.shim': 'Shim, bucket',
}
