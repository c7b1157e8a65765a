import type { Role } from '../../core/engine'
import type { Said, Tell, Text } from '../../core/said'
import { capital, theValve, whose, within } from './grammar'
import { gap } from './readings'
import { crankTurn } from './turns'

interface OfValve {
  valve: string
}
interface OfCylinder {
  cylinder: string | null
}
interface At {
  place: Text
}
interface Until {
  until: Text
}
/** A rocker by its valve’s name without its cylinder’s, or by its role. */
const both = ({ cylinder, role }: OfCylinder & { role: Role | null }): string =>
  `both ${whose(cylinder)}${role === null ? '' : `${role} `}rockers`

const drop = (dropMm: number): string => `${dropMm} mm (${(dropMm / 25.4).toFixed(2)} in)`

/** The Find step: the next turn, what to feel, what it tells; and what to do where the answers conflict. */
export const finding = {
  'find.turn.label.as-it-runs': 'Turn it by hand, the way it runs',
  'find.turn.label': ({ runs, seenFrom, means }: { runs: Text; seenFrom: string; means: string }, tell: Tell) =>
    `Turn ${tell(runs)} seen from ${seenFrom}, by ${means}`,
  'find.turn-until': ({ until }: Until, tell: Tell) => `Turn until ${tell(until)}`,
  'find.turn-another': ({ deg, until }: Until & { deg: number }, tell: Tell) =>
    `Turn another ${crankTurn(deg)}, until ${tell(until)}`,
  'find.one-more-turn': ({ until }: Until, tell: Tell) => `One more full turn, until ${tell(until)}`,
  'find.one-turn-and-on': ({ until }: Until, tell: Tell) => `One full turn, then on until ${tell(until)}`,
  'until.second-time': ({ until }: Until, tell: Tell) => `${tell(until)}, the second time`,

  'find.overshot': ({ times }: { times: number }) =>
    times === 1 ? 'Overshot: one extra turn counted' : `Overshot ${times} times: extra turns counted`,
  'find.overshot.sentence': ({ times }: { times: number }) =>
    times === 1 ? 'Overshot: one extra turn counted.' : `Overshot ${times} times: extra turns counted.`,

  'find.why.line': ({ look, window }: { look: Said; window: string }, tell: Tell) =>
    `${capital(tell(look))} in ${window}. It comes up twice a cycle; the rockers tell you which one this is.`,
  'find.why.once-a-cycle': 'It comes up once a cycle, so it gives you the stroke by itself.',
  'find.why.piston-top':
    'The piston tops out twice a cycle; the rockers tell you which one this is. Use a wood or plastic rod, never steel.',
  'find.why.neither-has-play':
    'Neither rocker has play, so this is most likely exhaust TDC. The next one is compression.',
  'find.why.held-maybe': 'A decompressor may be holding one open. Past top it releases: feel again there.',
  'find.why.one-has-play': 'This is the other stroke, or a valve has no clearance. One more turn will tell.',
  'find.why.ahead': ({ deg }: { deg: number }) => `The stop is ${deg}° ahead.`,
  'find.why.try-the-other-top': 'That didn’t settle it. Feel both again at the next TDC.',
  'find.why.tells-most': 'Feeling the rockers there gives you the stroke with the least turning.',
  'find.why.turned-back':
    'After turning backward, the chain and the decompressor give false readings. Go all the way around in the running direction.',

  'margin.easy': ({ deg, place }: At & { deg: number }, tell: Tell) =>
    `${deg}° to spare each way: being a finger’s width off ${tell(place)} doesn’t matter.`,
  'margin.with-care': ({ before, after }: { before: number; after: number }) =>
    `${before}° to spare before it, ${after}° after it: stop on it with care.`,

  'past-top.held': ({ sure, until, at }: { sure: boolean; until: number; at: number }) =>
    `A decompressor ${sure ? 'holds' : 'may hold'} the exhaust until ${until}° past top; at ${at}° past top it has released.`,
  'past-top.not-closed': ({ at }: { at: number }) => `Not every valve is closed at the top; ${at}° past top all are.`,
  'past-top.piston': ({ dropMm, assumed }: { dropMm: number; assumed: boolean }) =>
    `Piston ${drop(dropMm)} down${assumed ? ' (con-rod length assumed)' : ''}.`,
  'drop': ({ dropMm }: { dropMm: number }) => drop(dropMm),

  'key.rod-highest': 'Rod at its highest',
  'key.is-there': ({ place }: At, tell: Tell) => `${tell(place)} is there`,
  'key.it-is-there': 'It is there',

  'feel.again-here': 'Feel again here',
  'feel.one-should-settle': 'One feel should settle it',
  'feel.both': (rockers: OfCylinder & { role: Role | null }) => `Wiggle ${both(rockers)}`,
  'feel.one': ({ valve }: OfValve) => `Wiggle the ${within(valve)} rocker`,
  'feel.why.released-still': 'The decompressor has released here. If it’s slack now, it was the decompressor.',
  'feel.why.released': ({ cylinder }: OfCylinder) =>
    `The decompressor has released here. If both are slack, ${cylinder === null ? 'it ' : whose(cylinder)}is on compression.`,
  'feel.why.stroke': 'Both slack: compression. Neither moves: exhaust TDC, or two valves with no clearance.',
  'feel.why.stroke-of': ({ cylinder }: { cylinder: string }) =>
    `Both slack: ${within(cylinder)} is on compression. Neither moves: it’s on exhaust, or two valves have no clearance.`,
  'key.both-slack': 'Both slack',
  'key.both-slack.help': 'each clicks',
  'key.only-slack': ({ valve }: OfValve) => `Only ${within(valve)} slack`,
  'key.only-slack.help': ({ valve }: OfValve) => `${within(valve)} does not move`,
  'key.neither-moves': 'Neither moves',
  'key.neither-moves.help': 'no play at all',
  'key.slack': 'Slack',
  'key.slack.help': 'it clicks',
  'key.no-play': 'No play',
  'key.no-play.help': 'it does not move',

  'watch.label': 'This gives you the stroke, whatever the rockers do',
  'watch': ({ cylinder, place }: OfCylinder & At, tell: Tell) =>
    `Watch the ${whose(cylinder)}intake open and close, then turn to ${tell(place)}`,
  'watch.why.no-play-anywhere':
    'No play at either TDC: maybe two valves have no clearance. Watching the intake gives you the stroke.',
  'watch.why.still-open': 'The rockers don’t settle it; watching the intake does. Don’t look away in between.',
  'watch.why.by-school': 'The first top after the intake closes is compression. Don’t look away in between.',
  'key.watched-there': ({ place }: At, tell: Tell) => `Watched; ${tell(place)} is there`,
  'key.watched-top': 'Watched; at the top',
  'key.watched.help': 'didn’t look away',

  'weighing.label': 'One moment',
  'weighing': 'Working out your next move',
  'weighing.why': 'Finding the move that settles the most with the least turning.',

  'vain.label': ({ valve }: OfValve) => `${valve}: leave it as it is`,
  'vain': ({ valve }: OfValve) => `Stop: ${theValve(valve)} isn’t closed here`,
  'vain.shim':
    'Its shim is far thinner now and the blade still won’t go in, so something holds it open here. Leave it alone and find the position again.',
  'vain.screw':
    'Its screw was opened a long way and the blade still won’t go in, so something holds it open here. Leave it alone and find the position again.',

  'differs.label': ({ valve }: OfValve) => `${valve}: two places, two readings`,
  'differs': ({ valve }: OfValve) => `Leave the ${within(valve)} screw alone: it reads differently here`,
  'differs.why': ({
    there,
    here,
    unit,
  }: {
    there: { loMm: number; hiMm: number | null }
    here: { loMm: number; hiMm: number | null }
    unit: 'mm' | 'thou'
  }) =>
    `It was ${gap({ ...there, unit })} before and is ${gap({ ...here, unit })} here, and its nut wasn’t touched. A valve that isn’t fully closed reads tighter, so this is the wrong position for it.`,
  'key.held-open': 'A decompressor holds it open',
  'key.held-open.help': 'measure past the top',

  'no-stop.label': ({ valve }: OfValve) => `${valve}: no stop`,
  'no-stop': ({ valve }: OfValve) => `No stop works for ${theValve(valve)}`,
  'no-stop.why':
    'By this engine’s cam data it isn’t closed at any of these stops. Choose another method, or continue and say why.',
  'key.measure-anyway': 'Measure it anyway',

  'off-stop.label': ({ valve }: OfValve) => `${valve}: not at this stop`,
  'off-stop': ({ valve }: OfValve) => `${capital(theValve(valve))} isn’t measured here`,
  'off-stop.flagged': 'The maker’s list names it here, but by its cam data it isn’t closed.',
  'off-stop.chance': ({ closed }: { closed: number }) => `Chance that it is safely closed here: ${closed} %.`,
  'off-stop.turn-comes': ({ stop, place }: At & { stop: number }, tell: Tell) =>
    `Its turn comes at stop ${stop}, ${tell(place)}.`,
  'key.until-stop': ({ stop }: { stop: number }) => `until stop ${stop}`,
  'key.go-on-here': 'go on here',
  'key.measure-here': 'Measure it here',

  'conflict.label': 'The answers conflict',
  'conflict': 'The crank position is still not certain',
  'conflict.why': ({ place }: { place: Text | null }, tell: Tell) =>
    `You have checked several times, and the answers still conflict. A stiff rocker can feel as if it has no play: press on its valve end. Then start over, find the stops by another method, or continue${place === null ? '' : ` at ${tell(place)}`} and say why.`,
  'key.continue-here': 'Continue here',
  'key.start-over': 'Start over',

  'found.label': 'Found',
  'found': 'The valves are closed here',

  /** What was said of the crank, as part of a sentence. */
  'said.move': ({ place, times }: At & { times: number }, tell: Tell) =>
    `turned to ${tell(place)}${times > 1 ? `, ${times} times around` : ''}`,
  'said.turns': ({ place, turns }: At & { turns: number }, tell: Tell) =>
    `${turns} more turn${turns > 1 ? 's' : ''}, to ${tell(place)}`,
  'said.turn': ({ deg }: { deg: number }) => (deg < 0 ? `turned back ${-deg}°` : `turned on ${deg}°`),
  'said.watched': ({ cylinder, place }: OfCylinder & At, tell: Tell) =>
    `${whose(cylinder)}intake watched, then to ${tell(place)}`,
  'said.lost': 'position lost',
  'said.seen': ({ place }: At, tell: Tell) => `${tell(place)} seen`,
  'said.play': ({ valve, slack }: OfValve & { slack: boolean }) => `${within(valve)} ${slack ? 'slack' : 'no play'}`,
  'said.push-rods': ({ level }: { level: boolean }) => `push-rods ${level ? 'level' : 'not level'}`,
  'said.rocked': ({ still }: { still: boolean }) => (still ? 'rocked, valves still' : 'rocked, a valve moves'),
  'said.thumb': ({ pressure }: { pressure: boolean }) =>
    pressure ? 'pressure at the plug hole' : 'no pressure at the plug hole',
  'said.screw-set': ({ valve }: OfValve) => `${within(valve)} screw moved`,
  'said.all': ({ of, joint }: { of: readonly Text[]; joint: ', ' | ' and ' }, tell: Tell) => {
    const [first = '', ...rest] = of.map(tell)
    return joint === ', '
      ? [capital(first), ...rest].join(', ')
      : [[capital(first), ...rest.slice(0, -1)].join(', '), ...rest.slice(-1)].join(' and ')
  },
  'said.capital': ({ of }: { of: Text }, tell: Tell) => capital(tell(of)),

  'clash.look-or-undo': 'Look again at the one that costs least, or undo one. If you are sure of both, keep both.',
  'clash.undo-one': 'Undo one, or keep both if you are sure of them. Undoing a turn leaves the crank position unknown.',

  /** What can be looked at or felt at a place, and how it may be answered. */
  'ask.rocker': ({ valve }: OfValve) => `${valve} rocker`,
  'ask.pointer': ({ window }: { window: string }) => `The line at the pointer, in ${window}`,
  'ask.cam-signs': 'The cam sign',
  'ask.rod': ({ cylinder }: OfCylinder) => `Soft rod in the ${whose(cylinder)}plug hole`,
  'ask.push-rods': ({ cylinder }: OfCylinder) => capital(`${whose(cylinder)}push-rod ends`),
  'ask.rocked': ({ cylinder }: OfCylinder) => `Crank rocked a little: ${whose(cylinder)}valves`,
  'ask.thumb': ({ cylinder }: OfCylinder) => `Thumb on the ${whose(cylinder)}plug hole, coming up to here`,
  'ask.valve-seen': ({ valve }: OfValve) => `${valve} by eye`,
  'answer.slack': 'Slack',
  'answer.no-play': 'No play',
  'answer.level': 'Level',
  'answer.not-level': 'Not level',
  'answer.both-still': 'Both still',
  'answer.one-stirs': 'One stirs',
  'answer.pressure': 'Pressure',
  'answer.none': 'None',
  'told.on-until': ({ until }: Until, tell: Tell) => `On until ${tell(until)}`,
  'told.watched': ({ cylinder, place }: OfCylinder & At, tell: Tell) =>
    `Watched the ${whose(cylinder)}intake open and close, then turn to ${tell(place)}`,
  'told.lost-count': 'I lost count, or somebody turned it',
  'likely': ({ place, percent }: At & { percent: number }, tell: Tell) =>
    `${tell(place)}, ${percent > 99.5 ? 'over 99 %' : `${Math.round(percent)} %`}`,
  'likely.anywhere': 'anywhere',
  'idle.replaced': 'replaced by a later answer',
  'idle.turned-back': 'the crank had been turned back: the cam lagged',
}
