import { cylinderById, type Engine } from '../engine'
import type { Observation } from '../position'
import { engravedWords } from '../feeler'
import { formatLength, formatTorque } from '../units'
import { clearanceWords } from './figures'
import { itemWords } from './strip-down'
import type { JobEvent } from './event'
import { type JobPin, setNamed } from './pin'
import { HABIT_NAMES, placeWords, PROOF_NAMES, SCHOOL_NAMES, TARGET_NAMES, turnWords } from './words'

const nameOf = (engine: Engine, id: string): string => engine.valves.find(v => v.id === id)?.name ?? id

/** What was said of the crank, as part of a sentence. */
export function observationWords(engine: Engine, o: Observation): string {
  switch (o.kind) {
    case 'move':
      return `on to ${placeWords(engine, o.to)}${(o.times ?? 1) > 1 ? `, ${o.times} times round` : ''}`
    case 'turns':
      return `${o.turns} turn${o.turns > 1 ? 's' : ''} on to ${placeWords(engine, o.to)}`
    case 'turn':
      return o.deg < 0 ? `turned back ${Math.round(-o.deg)}°` : `turned on ${Math.round(o.deg)}°`
    case 'watched':
      return `${engine.cylinders.length > 1 ? `${cylinderById(engine, o.cylinderId).name.toLowerCase()} ` : ''}intake watched, on to ${placeWords(engine, o.to)}`
    case 'lost':
      return 'position lost'
    case 'seen':
      return o.place.kind === 'valve'
        ? `${nameOf(engine, o.place.valveId).toLowerCase()} seen ${o.place.sight === 'fully open' ? 'fully down' : o.place.sight === 'starts to open' ? 'opening' : o.place.sight}`
        : `${placeWords(engine, o.place)} seen`
    case 'rocker':
    case 'blade':
      return `${nameOf(engine, o.valveId).toLowerCase()} ${(o.kind === 'rocker' ? o.slack : o.went) ? 'slack' : 'no play'}`
    case 'push-rods':
      return `push-rods ${o.level ? 'level' : 'not level'}`
    case 'rocked':
      return o.still ? 'rocked, valves still' : 'rocked, a valve moves'
    case 'thumb':
      return o.pressure ? 'pressure at the plug hole' : 'no pressure at the plug hole'
    case 'screw-set':
      return `${nameOf(engine, o.valveId).toLowerCase()} screw moved`
  }
}

/** An answer in a few words, for the list of answers and for what Undo would take back. */
export function eventWords(pin: Pick<JobPin, 'spec' | 'bladeSet' | 'otherSets'>, event: JobEvent): string {
  const { engine } = pin.spec
  const valve = (id: string) => nameOf(engine, id)
  switch (event.type) {
    case 'confirmed':
      return `Confirmed: ${event.payload.item.replace('cautions-', 'caution, ')}`
    case 'temperature':
      return `Head ${event.payload.celsius} °C${event.payload.airC === undefined ? '' : `, air ${event.payload.airC} °C`}`
    case 'rested':
      return `Parked ${event.payload.hours} h`
    case 'taken-over':
      return 'took over the job'
    case 'came-off':
      return `Off: ${itemWords(event.payload.item)}`
    case 'put-in':
      return `In: ${event.payload.item}`
    case 'decompressor-tested':
      return event.payload.there
        ? 'Decompressor: it holds the exhaust at the top'
        : 'Decompressor: none, the exhaust reads the same at the top'
    case 'screw-checked':
      return `${valve(event.payload.valveId)} screw checked: ${{ 'right': 'it turns, and it is the right one', 'other': 'it was another one', 'spins': 'the stud turns with it', 'turned back': 'turned back to where you found it, and locked' }[event.payload.found]}`
    case 'plug-read':
      return `Plug: ${event.payload.look.toLowerCase()}`
    case 'finding':
      return `Found: ${event.payload.text}`
    case 'school-chosen':
      return `By ${SCHOOL_NAMES[event.payload.school].toLowerCase()}`
    case 'crank':
      return event.payload.observations
        .map((o, i) => (i ? observationWords(engine, o) : notedWords(engine, o)))
        .join(', ')
    case 'mark-checked':
      return event.payload.still
        ? `Mark still there, ${valve(event.payload.valveId).toLowerCase()}`
        : 'The crank had moved'
    case 'trial': {
      const { after, bladesMm, set, feel, valveId } = event.payload
      const done =
        after === null
          ? ''
          : after.kind === 'screw'
            ? `, screw ${turnWords(after.deg)}`
            : after.kind === 'nipped'
              ? ', nut nipped'
              : ', nut torqued'
      return `${valve(valveId)}${done}: ${engravedWords(bladesMm, setNamed(pin, set ?? null).unit)} ${feel}`
    }
    case 'estimate':
      return `${valve(event.payload.valveId)}: ${event.payload.text}, an estimate`
    case 'blades-taken':
      return `${event.payload.set} in hand`
    case 'target-chosen':
      return `Set to: ${TARGET_NAMES[event.payload.target].toLowerCase()}`
    case 'blade-habit-chosen':
      return `While locking: ${HABIT_NAMES[event.payload.habit].toLowerCase()}`
    case 'proof-chosen':
      return `Proof: ${PROOF_NAMES[event.payload.pair ? 'pair' : 'drag'].toLowerCase()}`
    case 'aim-off-chosen':
      return event.payload.shiftMm === null
        ? 'Locking: as the records have it'
        : event.payload.shiftMm === 0
          ? 'Locking leaves the gap as it is'
          : `Locking ${event.payload.shiftMm < 0 ? 'closes' : 'opens'} it by ${formatLength(Math.abs(event.payload.shiftMm), 'mm')} mm`
    case 'plan-chosen':
      return event.payload.oneAtATime ? 'One cylinder at a time' : 'The fewest stops'
    case 'wrench-taken':
      return event.payload.wrench === null
        ? 'No torque wrench'
        : `${event.payload.wrench} in hand${event.payload.adapter ? `, with ${event.payload.adapter}` : ''}`
    case 'figure-settled':
      return `${event.payload.role === 'intake' ? 'Intake' : 'Exhaust'} figure settled: ${clearanceWords(event.payload.clearance)}`
    case 'spec-taken':
      return `Revision ${event.payload.revision} of the spec taken`
    case 'shim-read':
      return `${valve(event.payload.valveId)} shim read: ${[event.payload.engravedMm, event.payload.measuredMm]
        .filter(v => v !== null)
        .map(v => formatLength(v, 'mm'))
        .join(' engraved, ')}${event.payload.measuredMm === null ? '' : ' measured'}`
    case 'shim-fitted':
      return `${valve(event.payload.valveId)}: shim ${formatLength(event.payload.mm, 'mm')} fitted`
    case 'cam-back':
      return 'Cam back in'
    case 'set-chosen':
      return `${valve(event.payload.valveId)} to be set`
    case 'nut-loosened':
      return `${valve(event.payload.valveId)} locknut loose`
    case 'prove-turned':
      return `${event.payload.turns} full turns by hand`
    case 'gate-passed':
      return `Continued: ${event.payload.reason}`
    case 'came-out':
      return `Out again: ${event.payload.item}`
    case 'went-back':
      return `Back on: ${itemWords(event.payload.item)}`
    case 'gasket':
      return `Gasket: ${event.payload.choice}`
    case 'torqued':
      return `${event.payload.what === 'cover' ? 'Cover' : 'Plug'} tightened${event.payload.torqueNm === null ? '' : `, ${formatTorque(event.payload.torqueNm)}`}`
    case 'replaced':
      return `Replaced: ${event.payload.text}`
    case 'ran':
      return `Run: ${event.payload.result}`
    case 'note':
      return `Note: ${event.payload.text}`
    case 'next-due':
      return 'Next check set'
    case 'held':
      return `On hold: ${event.payload.reason}`
    case 'resumed':
      return 'Resumed'
    case 'abandoned':
      return `Abandoned: ${event.payload.reason}`
    case 'closed':
      return 'Signed and closed'
    case 'reopened':
      return `Reopened: ${event.payload.reason}`
    case 'placed':
      return `Felt ${event.payload.when} the turn`
    case 'retracted':
      return event.payload.how === 'turned back' ? 'Turned back' : 'Undone'
  }
}

/** The event that an observation came with. */
export const eventIdOf = (observationId: string): string => observationId.split(':')[0]!

/** The same, to stand by itself. */
export function notedWords(engine: Engine, observation: Observation): string {
  const words = observationWords(engine, observation)
  return words.charAt(0).toUpperCase() + words.slice(1)
}
