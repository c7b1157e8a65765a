import type { Role } from '../../core/engine'
import type { PlugEnd } from '../../core/job/outcomes'
import type { Tell, Text } from '../../core/said'
import { formatLength, formatTorque } from '../../core/units'
import { within } from './grammar'
import { screwTurn } from './turns'

interface OfValve {
  valve: string
}
interface Own {
  /** In the person’s own words. */
  words: string
}

/** What became of a plug’s gap. */
export function gapTold(was: PlugEnd, foundMm: number | null, leftMm: number | null): string {
  const left = leftMm === null ? '' : ` ${formatLength(leftMm, 'mm')} mm`
  if (was === 'new') return `new plug,${left || ' not measured'}`
  const found = foundMm === null ? '' : `${formatLength(foundMm, 'mm')} mm found, `
  return was === 'set' ? `${found}set to${left}` : `${found}right`
}

const CHECKED = {
  'right': 'it turns, and it is the right one',
  'other': 'it was another one',
  'spins': 'the stud turns with it',
  'turned back': 'turned back to where you found it, and locked',
}
const GASKETS = { 'new': 'new', 'used again': 'used again', 'compound': 'compound' }
const RESULTS = { 'clean': 'clean', 'ticks': 'ticks', 'weeps': 'weeps', 'will not start': 'will not start' }
const CAUTIONS = 'cautions-'

/** An answer in a few words: in the list of answers, and for what Undo would take back. */
export const answers = {
  'did.confirmed': ({ item }: { item: string }) => `Confirmed: ${item.replace(CAUTIONS, 'caution, ')}`,
  'did.readied': ({ lines }: { lines: number }) =>
    lines === 0 ? 'Getting ready, one at a time' : `Getting ready: ${lines} confirmed`,
  'did.temperature': ({ celsius, airC }: { celsius: number; airC?: number }) =>
    `Head ${celsius} °C${airC === undefined ? '' : `, air ${airC} °C`}`,
  'did.rested': ({ hours }: { hours: number }) => `Parked ${hours} h`,
  'did.taken-over': 'took over the job',
  'did.came-off': ({ item }: { item: Text }, tell: Tell) => `Off: ${tell(item)}`,
  'did.put-in': ({ item }: { item: string }) => `In: ${item}`,
  'did.decompressor-tested': ({ there }: { there: boolean }) =>
    there
      ? 'Decompressor: it holds the exhaust at the top'
      : 'Decompressor: none, the exhaust reads the same at the top',
  'did.screw-checked': ({ valve, found }: OfValve & { found: keyof typeof CHECKED }) =>
    `${valve} screw checked: ${CHECKED[found]}`,
  'did.plug-read': ({ look }: { look: string }) => `Plug: ${within(look)}`,
  'did.plug-gap': ({ was, foundMm, leftMm }: { was: PlugEnd; foundMm?: number; leftMm?: number }) =>
    `Plug gap: ${gapTold(was, foundMm ?? null, leftMm ?? null)}`,
  'did.finding': ({ words }: { words: Text }, tell: Tell) => `Found: ${tell(words)}`,
  'did.school-chosen': ({ school }: { school: Text }, tell: Tell) => `By ${within(tell(school))}`,
  'did.mark-still-there': ({ valve }: OfValve) => `Mark still there, ${within(valve)}`,
  'did.crank-moved': 'The crank had moved',
  'did.trial': ({ valve, after, trial }: OfValve & { after: Text; trial: Text }, tell: Tell) =>
    `${valve}${after === '' ? '' : `, ${tell(after)}`}: ${tell(trial)}`,
  'did.after-screw': ({ deg }: { deg: number }) => `screw ${screwTurn(deg)}`,
  'did.after-nip': 'nut nipped',
  'did.after-torque': 'nut torqued',
  'did.estimate': ({ valve, words }: OfValve & Own) => `${valve}: ${words}, an estimate`,
  'did.blades-taken': ({ set }: { set: string }) => `${set} in hand`,
  'did.target-chosen': ({ target }: { target: Text }, tell: Tell) => `Set to: ${within(tell(target))}`,
  'did.habit-chosen': ({ habit }: { habit: Text }, tell: Tell) => `While locking: ${within(tell(habit))}`,
  'did.proof-chosen': ({ proof }: { proof: Text }, tell: Tell) => `Proof: ${within(tell(proof))}`,
  'did.lock-by-record': 'Locking: as the records have it',
  'did.lock-leaves': 'Locking leaves the gap as it is',
  'did.lock-moves': ({ shiftMm }: { shiftMm: number }) =>
    `Locking ${shiftMm < 0 ? 'closes' : 'opens'} it by ${formatLength(Math.abs(shiftMm), 'mm')} mm`,
  'did.one-at-a-time': 'One cylinder at a time',
  'did.fewest-stops': 'The fewest stops',
  'did.no-wrench': 'No torque wrench',
  'did.wrench-taken': ({ wrench, adapter }: { wrench: string; adapter: string | null }) =>
    `${wrench} in hand${adapter ? `, with ${adapter}` : ''}`,
  'did.figure-settled': ({ role, figure }: { role: Role; figure: Text }, tell: Tell) =>
    `${role === 'intake' ? 'Intake' : 'Exhaust'} figure settled: ${tell(figure)}`,
  'did.spec-taken': ({ revision }: { revision: number }) => `Revision ${revision} of the spec taken`,
  'did.shim-read': ({
    valve,
    engravedMm,
    measuredMm,
  }: OfValve & { engravedMm: number | null; measuredMm: number | null }) =>
    `${valve} shim read: ${[engravedMm, measuredMm]
      .filter(v => v !== null)
      .map(v => formatLength(v, 'mm'))
      .join(' engraved, ')}${measuredMm === null ? '' : ' measured'}`,
  'did.shim-fitted': ({ valve, mm }: OfValve & { mm: number }) => `${valve}: shim ${formatLength(mm, 'mm')} fitted`,
  'did.cam-back': 'Cam back in',
  'did.set-chosen': ({ valve }: OfValve) => `${valve} to be set`,
  'did.nut-loosened': ({ valve }: OfValve) => `${valve} adjuster loose`,
  'did.prove-turned': ({ turns }: { turns: number }) => `${turns} full turns by hand`,
  'did.gate-passed': ({ words }: Own) => `Continued: ${words}`,
  'did.came-out': ({ item }: { item: string }) => `Out again: ${item}`,
  'did.went-back': ({ item }: { item: Text }, tell: Tell) => `Back on: ${tell(item)}`,
  'did.gasket': ({ choice }: { choice: keyof typeof GASKETS }) => `Gasket: ${GASKETS[choice]}`,
  'did.tightened': ({ part, torqueNm }: { part: 'cover' | 'plug'; torqueNm: number | null }) =>
    `${part === 'cover' ? 'Cover' : 'Plug'} tightened${torqueNm === null ? '' : `, ${formatTorque(torqueNm)}`}`,
  'did.replaced': ({ words }: Own) => `Replaced: ${words}`,
  'did.ran': ({ result }: { result: keyof typeof RESULTS }) => `Run: ${RESULTS[result]}`,
  'did.note': ({ words }: Own) => `Note: ${words}`,
  'did.next-due': 'Next check set',
  'did.held': ({ words }: Own) => `On hold: ${words}`,
  'did.resumed': 'Resumed',
  'did.abandoned': ({ words }: Own) => `Abandoned: ${words}`,
  'did.closed': 'Signed and closed',
  'did.reopened': ({ words }: Own) => `Reopened: ${words}`,
  'did.placed': ({ when }: { when: 'before' | 'after' }) => `Felt ${when} the turn`,
  'did.turned-back': 'Turned back',
  'did.undone': 'Undone',

  /** How a step stands. */
  'step.cold': ({ off }: { off: number }) => `Cold${off ? `, ${off} off` : ''}`,
  'step.not-cold': 'Not yet cold',
  'step.stop': ({ stop, of }: { stop: number; of: number }) => `Stop ${stop} of ${of}`,
  'step.settled': 'Settled',
  'step.known': 'Known: keep turning',
  'step.which-stroke': 'Which stroke?',
  'step.measured': ({ done, of }: { done: number; of: number }) => `${done} of ${of} valves`,
  'step.to-set': ({ valves }: { valves: number }) => (valves ? `${valves} to set` : 'None to set'),
  'step.proved': ({ done, of }: { done: number; of: number }) => `${done} of ${of} valve${of === 1 ? '' : 's'}`,
  'step.to-put-back': ({ parts }: { parts: number }) => (parts ? `${parts} to put back` : 'Sign'),
}
