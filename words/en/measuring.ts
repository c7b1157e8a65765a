import type { Verdict } from '../../core/feeler'
import type { SetBy } from '../../core/job'
import type { Tell, Text } from '../../core/said'
import { theValve } from './grammar'
import { gap, length } from './readings'

interface OfValve {
  valve: string
}
interface Figure {
  mm: number
  unit: 'mm' | 'thou'
}

/** What a blade proves, after “if it drags”. */
const PROVES: Record<Verdict, string> = {
  tight: 'it’s tight',
  loose: 'it’s loose',
  in: 'it’s in',
  unproved: 'one more blade',
}
/** The ways out that are offered where no blade of a set settles it, the last with “or”. */
const WAYS = {
  'set it': 'set it where one does',
  'another set': 'use another set',
  'try again': 'try one again',
  'go on': 'continue and say why',
}

/** The Measure and Prove steps: a blade asked for, what it would tell, and what to do when none tells. */
export const measuring = {
  'feel.free': 'Free',
  'feel.drag': 'Drag',
  'feel.pinched': 'Pinched',
  'feel.no-go': 'No-go',
  'feel.free.help': 'slides with room to spare',
  'feel.drag.help': 'light, even tug',
  'feel.pinched.help': 'goes in, but grips',
  'feel.no-go.help': 'won’t go in',
  'feel.free.setting': 'too loose',
  'feel.drag.setting': ({ by }: { by: SetBy }) =>
    by === 'self-locking nut'
      ? 'take the wrench off next'
      : `nip the ${by === 'screw' ? 'nut' : by === 'pivot nut' ? 'lock screw' : 'upper nut'} next`,
  'feel.no-go.setting': 'too tight',

  'phase.as-found': 'as found',
  'phase.before-lock': 'before lock',
  'phase.nipped': 'nipped',
  'phase.torqued': 'torqued',
  'phase.proof': 'proof',
  'phase.proved': 'proved',
  'phase.look-again': 'look again',

  'valve.phase': ({ valve, phase }: OfValve & { phase: Text }, tell: Tell) => `${valve}, ${tell(phase)}`,
  'valve.is': ({ valve, verdict }: OfValve & { verdict: string }) => `${valve}, ${verdict}`,
  'valve.before-measuring': ({ valve }: OfValve) => `${valve}, before measuring`,
  'valve.one-more-blade': ({ valve }: OfValve) => `${valve}, one more blade`,
  'valve.look-again': ({ valve }: OfValve) => `${valve}: look again`,

  'blade.try': ({ blade, valve }: OfValve & { blade: string }) => `Try ${blade} in ${theValve(valve)}`,
  'blade.stack': ({ blades }: { blades: number }) =>
    `No blade of that size: stack ${['', '', 'two', 'three'][blades]}.`,
  'blade.by-how-much': ({ verdict }: { verdict: 'tight' | 'loose' }) => `It’s ${verdict}; this shows by how much.`,
  'blade.wanted': (wanted: Figure) => `Wanted: ${length(wanted)}.`,
  'blade.tells': ({ refused, drags, free }: Record<'refused' | 'drags' | 'free', Verdict>) => {
    if (refused === drags && drags === free) return 'However it feels, it takes one more blade.'
    if (drags === free) return `If it won’t go, ${PROVES[refused]}. If it goes, ${PROVES[free]}.`
    if (refused === drags) return `If it slides freely, ${PROVES[free]}. If not, ${PROVES[drags]}.`
    if (refused === free) return `If it drags, ${PROVES[drags]}. Free or won’t go: ${PROVES[free]}.`
    return `If it won’t go, ${PROVES[refused]}. If it drags, ${PROVES[drags]}. If it slides freely, ${PROVES[free]}.`
  },

  'still.somewhere': 'Is the crank still where it was?',
  'crept': 'The crank may have crept.',
  'crept.reading-worthless': 'With the valve open, a reading is worthless.',
  'key.still-on': ({ place }: { place: Text }, tell: Tell) => `Still on ${tell(place)}`,
  'key.not-moved': 'It hasn’t moved',
  'key.not-moved.help': 'as you left it',
  'key.it-moved': 'It moved',
  'key.find-it-again': 'find it again',

  'key.set-it': 'Set it',
  'key.set-it.help': 'once all here are measured',
  'key.set-again': 'Set it again',
  'key.set-again.help': 'loosen the nut',

  'by-angle': (stands: { loMm: number; hiMm: number | null; unit: 'mm' | 'thou' }) =>
    `The screw’s angle puts it at ${gap(stands)}: an estimate.`,
  'cannot-prove': 'This blade set can’t prove it',
  'cannot-prove.why': ({ set, ways }: { set: string; ways: readonly (keyof typeof WAYS)[] }) => {
    const words = ways.map(w => WAYS[w])
    return `No blade or stack in ${set} settles it: ${words.slice(0, -1).join(', ')}, or ${words.at(-1)}.`
  },
  'still-out': 'It’s still out of spec',
  'still-out.why': 'You left it that way. Leave it and say why, or set it again.',
  'in-dispute': 'These blades don’t agree',
  'in-dispute.why': ({ otherSets }: { otherSets: boolean }) =>
    `You tried them again and got the same. Wipe and measure them${otherSets ? ', use another set' : ''}, undo one answer, or continue and say why.`,
  'apart.why':
    'At another crank position it was in. If this blade won’t go in either, the crank is in the wrong position: leave the screw alone.',

  'narrower.why':
    'It’s in. One more blade here, and the same blade at the top will tell whether a decompressor holds the valve there.',
  'decompressor.label': 'Is there a decompressor?',
  'decompressor.try': ({ blade, valve }: OfValve & { blade: string }) =>
    `Here at the top, try ${blade} in ${theValve(valve)}`,
  'decompressor.why':
    'It went in past the top. If it goes here too, no decompressor holds the valve, and from now on you can measure at the top.',
  'key.goes-here-too': 'It goes here too',
  'key.no-decompressor': 'no decompressor',
  'key.tighter-or-refused': 'Tighter, or refused',
  'key.decompressor-holds': 'a decompressor holds it',

  'second-place.label': 'Check for a decompressor',
  'second-place.complaint': ({ complaint }: { complaint: string }) =>
    `Complaint: “${complaint}”. The spec lists no decompressor.`,
  'second-place.no-blade': ({ valve }: OfValve) =>
    `No blade goes into ${theValve(valve)} here, and the spec lists no decompressor.`,
  'second-place.turn.why': 'One that holds the exhaust open at the top has released there, so one blade will tell.',
  'second-place.try': ({ blade, valve }: OfValve & { blade: string }) =>
    `Past the top, try ${blade} in ${theValve(valve)}`,
  'second-place.try.why':
    'At the top this blade was too thick. If it goes here, a decompressor held the valve open at the top: measure it here from now on.',
  'key.down': ({ dropMm }: { dropMm: number }) => `${dropMm} mm down`,
  'key.stopped-there': 'stopped there',
  'key.wont-go-here-either': 'Won’t go here either',
  'key.it-goes': 'It goes',
  'key.there-is-a-decompressor': 'there is a decompressor',

  'prove.label': 'Prove it',
  'prove.turn-over': ({ place }: { place: Text }, tell: Tell) => `Turn it over two full turns, back to ${tell(place)}`,
  'prove.turn-over.why.as-it-runs': 'By hand, the way the engine runs. Feel for binding; check that nothing jumped.',
  'prove.turn-over.why': ({ runs, seenFrom }: { runs: Text; seenFrom: string }, tell: Tell) =>
    `By hand, ${tell(runs)} seen from ${seenFrom}. Feel for binding; check that nothing jumped.`,
  'key.back-on': ({ place }: { place: Text }, tell: Tell) => `Back on ${tell(place)}`,
  'key.back-on.help': 'two full turns',
  'key.overshot': 'Overshot it',
  'key.overshot.once-more': 'went around once more',
  'key.overshot.to-it-again': 'went around to it again',
  'key.binds': 'It binds',
  'key.binds.help': 'stop, write it down',
  'undone.why': 'An answer that this relied on was undone.',

  'key.say-why': 'say why',
  'key.continue': 'Continue',
  'key.leave-it': 'Leave it',
  'key.leave-for-now': 'Leave it for now',
  'key.not-now': 'Not now',
  'key.write-it-down': 'Write it down',
  'key.for-the-owner': 'for the owner',
  'key.write-down': 'write it down',
  'key.something-odd': 'Something is odd',
  'key.find-again': 'Find it again',
  'key.find-again.help': 'forget what was assumed',
  'key.another-method': 'Another method',
  'key.another-method.help': 'choose how to find the stops',
  'key.lost-track': 'I lost track',
  'key.lost-track.help': 'turned back, or looked away',
}
