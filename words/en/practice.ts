import type { Feel, Verdict } from '../../core/feeler'
import type { Stroke } from '../../core/practice'
import type { Said, Tell, Text } from '../../core/said'
import { theValve, within } from './grammar'

interface OfValve {
  valve: string
}
const ENGINES: Record<string, string> = {
  'single': 'Single, push-rods, T on the flywheel',
  'single-decompressor': 'Single with a decompressor on record',
  'single-maybe': 'Single; a decompressor may be there',
  'single-no-marks': 'Single, pivot nuts, no marks: by rod',
  'single-assumed': 'Single without cam data on record',
  'four-valve': 'Single with four valves',
  'twin-360': 'Twin, both pistons up together',
  'twin-180': 'Twin, pistons opposite',
  'twin-270': 'Twin with a 270° crank',
  'v-90': '90° V-twin with push-rods and decompressors',
  'v-45': '45° V-twin',
  'shimmed': 'Twin with the maker’s stops and shimmed intakes',
  'four': 'Four in line',
}
const FEELS: Record<Feel, string> = {
  'free': 'slides with room to spare',
  'drag': 'a light, even tug',
  'pinched': 'goes in and is held',
  'no-go': 'won’t go in',
}
const NUTS = { loose: 'loosened', nipped: 'nipped', locked: 'locked' }

/** Practice: what a hand feels, what was done, and the marks with the truth beside them. */
export const practice = {
  'practice-engine': ({ id }: { id: string }) => ENGINES[id] ?? id,
  'practice-level.1': 'First time',
  'practice-level.1.about':
    'The engine is cut open, the pull on a blade is named, and the Bench leads. One valve is out.',
  'practice-level.2': 'Marks only',
  'practice-level.2.about': 'Closed engine, no rod. You name the pull. The crank starts near the wrong top.',
  'practice-level.3': 'No marks',
  'practice-level.3.about': 'The window stays covered: rod and rockers alone. A valve has no clearance.',
  'practice-level.4': 'Everything lies a little',
  'practice-level.4.about': 'Warm head, worn blades, slack chain, locks that creep, and perhaps a decompressor.',

  'felt.blade': ({ feel }: { feel: Feel }) => FEELS[feel],
  'felt.rocker': ({ slack }: { slack: boolean }) => (slack ? 'clicks' : 'doesn’t move'),
  'felt.rod-top': 'at its top',
  'felt.rod-down': ({ down }: { down: string }) => `${down} mm down`,
  'felt.rests': 'stays where it is',
  'felt.runs-on': 'runs on past compression',

  'mark.where': ({ deg, cylinder, stroke }: { deg: number; cylinder: string | null; stroke: Stroke }) =>
    `${deg}° of the cycle${cylinder === null ? '' : ` of ${within(cylinder)}`}, ${stroke} stroke`,
  'mark.place': ({ place }: { place: Text }, tell: Tell) => `You said: ${tell(place)} is there`,
  'mark.off': ({ deg }: { deg: number }) => `${deg}° off`,
  'mark.away': ({ deg, atDeg }: { deg: number; atDeg: number }) => `It was ${deg}° away: the crank was at ${atDeg}°.`,
  'mark.backward': 'You came to it backward',
  'mark.behind': ({ deg }: { deg: number }) => `The cam was left ${deg}° behind. Go all the way around instead.`,
  'mark.turns': ({ turns }: { turns: number }) =>
    `You said: ${turns === 1 ? 'one full turn' : turns === 2 ? 'two full turns' : `${turns} full turns`}`,
  'mark.turned': ({ deg }: { deg: number }) => `It was ${deg}°, so the stroke is a different one.`,
  'mark.rocker': ({ valve, slack }: OfValve & { slack: boolean }) =>
    `You said: the ${within(valve)} rocker ${slack ? 'is slack' : 'has no play'}`,
  'mark.unfelt': ({ valve }: OfValve) => `You answered for ${theValve(valve)} without feeling it`,
  'mark.guess': 'A guess proves nothing, right or not.',
  'mark.it-felt': ({ felt }: { felt: Said }, tell: Tell) => `It ${tell(felt)}.`,
  'mark.ground': ({ wrongStroke, valve, where }: OfValve & { wrongStroke: boolean; where: Said }, tell: Tell) =>
    `${wrongStroke ? 'Wrong stroke' : 'Not closed here'}: you measured ${theValve(valve)} at ${tell(where)}`,
  'mark.lifted': ({ lifted }: { lifted: string }) => `It was ${lifted} open, so the reading proves nothing.`,
  'mark.warm': ({ headC }: { headC: number }) => `You measured at ${headC} °C`,
  'mark.cold': ({ limitC, less }: { limitC: number; less: string }) =>
    `Cold is ${limitC} °C. Warm, it reads ${less} less.`,
  'mark.trial': ({ blade, valve, feel }: OfValve & { blade: string; feel: Feel }) =>
    `You said: ${blade} in ${theValve(valve)}: ${feel}`,
  'mark.it-was': ({ feel, force }: { feel: Feel; force: string }) => `It was ${feel}, ${force} N.`,
  'mark.unslid': ({ blade }: { blade: string }) => `You named ${blade} without sliding it in`,
  'mark.screw': ({ valve, where }: OfValve & { where: Said }, tell: Tell) =>
    `You turned the ${within(valve)} screw at ${tell(where)}`,
  'mark.held': ({ held }: { held: string }) => `The valve was ${held} open, so it would be set that much too loose.`,
  'mark.called': ({ valve, verdict }: OfValve & { verdict: Verdict }) => `You called ${theValve(valve)} ${verdict}`,
  'mark.it-is': ({ verdict, gap }: { verdict: Verdict; gap: string }) => `It is ${verdict}: ${gap}.`,
  'mark.since-lock': ({ deg }: { deg: number }) => `It was ${deg}° since the last nut was locked.`,
  'mark.two-turns': 'Two full turns',
  'mark.made': 'made',
  'mark.effect.loose': 'Ticks, opens late, and wears tip and screw.',
  'mark.effect.tight-intake': 'Doesn’t seat: it leaks and starts badly.',
  'mark.effect.tight-exhaust': 'Doesn’t seat: it burns.',
  'mark.effect.nut': 'The nut is loose: the screw works its way out and the valve drops.',
  'mark.effect.in': 'Runs the way the maker meant.',
  'mark.believed': ({ what }: { what: Verdict | 'measured' | 'not measured' }) => what,
  'mark.left-loose': ({ valve }: OfValve) => `You left the ${within(valve)} adjuster loose`,
  'mark.never-measured': ({ valve }: OfValve) => `You never measured ${theValve(valve)}`,
  'mark.stands': ({ gap }: { gap: string }) => `It is at ${gap}.`,
  'mark.left': ({ valve, inSpec }: OfValve & { inSpec: boolean }) => `${valve} left ${inSpec ? 'in' : 'out of'} spec`,
  'mark.found': ({ what }: { what: 'found' | 'elsewhere' | 'not found' }) =>
    ({
      'found': 'You found compression TDC',
      'elsewhere': 'You took another place for compression TDC',
      'not found': 'Compression TDC is not found yet',
    })[what],
  'mark.not-proved': 'Not proved',
  'mark.prove': 'Two full turns by hand, then every valve again.',

  'replay.before': 'Before any answer',
  'replay.rockers': ({ felt }: { felt: (OfValve & { slack: boolean })[] }) =>
    `Rockers: ${felt.map(({ valve, slack }) => `${within(valve)} ${slack ? 'slack' : 'no play'}`).join(', ')}`,
  'replay.place': 'You said where the crank is',
  'replay.trial': ({ blade, valve, feel }: OfValve & { blade: string; feel: Feel }) =>
    `${blade} in ${theValve(valve)}: ${feel}`,
  'replay.two-turns': 'You said: two full turns',
  'replay.shim': ({ valve, fitted }: OfValve & { fitted: boolean }) =>
    `You ${fitted ? 'fitted' : 'read'} a shim of ${theValve(valve)}`,
  'replay.temperature': ({ headC }: { headC: number }) => `You said: ${headC} °C`,
  'replay.answered': 'You answered the Bench',
  'replay.screw': ({ valve, deg }: OfValve & { deg: number }) =>
    `You turned the ${within(valve)} screw ${Math.abs(deg)}° ${deg < 0 ? 'counterclockwise' : 'clockwise'}`,
  'replay.nut': ({ valve, to }: OfValve & { to: keyof typeof NUTS }) => `You ${NUTS[to]} the ${within(valve)} locknut`,
  'replay.called': ({ valve, verdict }: OfValve & { verdict: Verdict }) => `You called ${theValve(valve)} ${verdict}`,
  'replay.stroke': ({ stroke, cylinder }: { stroke: Stroke; cylinder: string | null }) =>
    `${stroke} stroke${cylinder === null ? '' : ` of ${within(cylinder)}`}`,
}
