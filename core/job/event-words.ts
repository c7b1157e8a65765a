import type { Complaint, Suspect } from '../complaint'
import type { Engine } from '../engine'
import { engravedWords } from '../feeler'
import type { Observation } from '../position'
import { type Said, say, type Text } from '../said'
import type { JobEvent } from './event'
import { clearanceWords } from './figures'
import type { GapChange } from './gap-change'
import { type JobPin, setNamed } from './pin'
import { itemWords } from './strip-down'
import { placeWords, whose } from './words'

const nameOf = (engine: Engine, id: string): string => engine.valves.find(v => v.id === id)?.name ?? id

/** What was said of the crank, as part of a sentence. */
export function observationWords(engine: Engine, o: Observation): Said {
  switch (o.kind) {
    case 'move':
      return say('said.move', { place: placeWords(engine, o.to), times: o.times ?? 1 })
    case 'turns':
      return say('said.turns', { place: placeWords(engine, o.to), turns: o.turns })
    case 'turn':
      return say('said.turn', { deg: Math.round(o.deg) })
    case 'watched':
      return say('said.watched', { cylinder: whose(engine, o.cylinderId), place: placeWords(engine, o.to) })
    case 'lost':
      return say('said.lost')
    case 'seen':
      return o.place.kind === 'valve'
        ? say('seen.valve', { valve: nameOf(engine, o.place.valveId), sight: o.place.sight })
        : say('said.seen', { place: placeWords(engine, o.place) })
    case 'rocker':
      return say('said.play', { valve: nameOf(engine, o.valveId), slack: o.slack })
    case 'blade':
      return say('said.play', { valve: nameOf(engine, o.valveId), slack: o.went })
    case 'push-rods':
      return say('said.push-rods', { level: o.level })
    case 'rocked':
      return say('said.rocked', { still: o.still })
    case 'thumb':
      return say('said.thumb', { pressure: o.pressure })
    case 'screw-set':
      return say('said.screw-set', { valve: nameOf(engine, o.valveId) })
  }
}

/** What was done to a gap just before a blade was tried in it. */
function afterWords(after: GapChange | null): Text {
  switch (after?.kind) {
    case 'screw':
      return say('did.after-screw', { deg: after.deg })
    case 'nipped':
      return say('did.after-nip')
    case 'torqued':
      return say('did.after-torque')
    default:
      return ''
  }
}

/** A part that came off or went back, and how many with it. */
const together = (
  what: 'came-off' | 'went-back',
  { item, also }: { item: string; also?: string[] | undefined },
): Text =>
  also?.length
    ? say(`did.${what}.all`, { item: itemWords(item), more: also.length })
    : say(`did.${what}`, { item: itemWords(item) })

/** Something found, in the words of whoever found it, or as a suspect that was chosen. */
export const foundWords = ({
  text,
  about,
  suspect,
}: {
  text: string
  about?: Complaint | null | undefined
  suspect?: Suspect | null | undefined
}): Text => (about && suspect ? say('else.finding', { complaint: about, suspect }) : text)

/** An answer in a few words, for the list of answers and for what Undo would take back. */
export function eventWords(pin: Pick<JobPin, 'spec' | 'bladeSet' | 'otherSets'>, event: JobEvent): Text {
  const { engine } = pin.spec
  const valve = (id: string) => nameOf(engine, id)
  switch (event.type) {
    case 'confirmed':
      return say('did.confirmed', { item: event.payload.item })
    case 'readied': {
      const { lines, off } = event.payload
      return say('did.readied', { lines: [...lines, ...off.map(itemWords)].length })
    }
    case 'temperature':
      return say('did.temperature', event.payload)
    case 'rested':
      return say('did.rested', event.payload)
    case 'taken-over':
      return say('did.taken-over')
    case 'came-off':
      return together('came-off', event.payload)
    case 'put-in':
      return say('did.put-in', event.payload)
    case 'decompressor-tested':
      return say('did.decompressor-tested', { there: event.payload.there })
    case 'screw-checked':
      return say('did.screw-checked', { valve: valve(event.payload.valveId), found: event.payload.found })
    case 'plug-read':
      return say('did.plug-read', event.payload)
    case 'plug-gap':
      return say('did.plug-gap', event.payload)
    case 'finding':
      return say('did.finding', { words: foundWords(event.payload) })
    case 'school-chosen':
      return say('did.school-chosen', { school: say(`school.${event.payload.school}`) })
    case 'crank':
      return say('said.all', { of: event.payload.observations.map(o => observationWords(engine, o)), joint: ', ' })
    case 'mark-checked':
      return event.payload.still
        ? say('did.mark-still-there', { valve: valve(event.payload.valveId) })
        : say('did.crank-moved')
    case 'trial': {
      const { after, bladesMm, set, feel, valveId } = event.payload
      const blade = engravedWords(bladesMm, setNamed(pin, set ?? null).unit)
      return say('did.trial', {
        valve: valve(valveId),
        after: afterWords(after),
        trial: say('trial', { blade, feel }),
      })
    }
    case 'estimate':
      return say('did.estimate', { valve: valve(event.payload.valveId), words: event.payload.text })
    case 'blades-taken':
      return say('did.blades-taken', event.payload)
    case 'target-chosen':
      return say('did.target-chosen', { target: say(`target.${event.payload.target}`) })
    case 'blade-habit-chosen':
      return say('did.habit-chosen', { habit: say(`habit.${event.payload.habit}`) })
    case 'proof-chosen':
      return say('did.proof-chosen', { proof: say(event.payload.pair ? 'proof.pair' : 'proof.drag') })
    case 'aim-off-chosen': {
      const { shiftMm } = event.payload
      if (shiftMm === null) return say('did.lock-by-record')
      return shiftMm === 0 ? say('did.lock-leaves') : say('did.lock-moves', { shiftMm })
    }
    case 'plan-chosen':
      return event.payload.oneAtATime ? say('did.one-at-a-time') : say('did.fewest-stops')
    case 'wrench-taken': {
      const { wrench, adapter } = event.payload
      return wrench === null ? say('did.no-wrench') : say('did.wrench-taken', { wrench, adapter })
    }
    case 'figure-settled':
      return say('did.figure-settled', {
        role: event.payload.role,
        figure: clearanceWords(event.payload.clearance),
      })
    case 'spec-taken':
      return say('did.spec-taken', { revision: event.payload.revision })
    case 'shim-read': {
      const { valveId, engravedMm, measuredMm } = event.payload
      return say('did.shim-read', { valve: valve(valveId), engravedMm, measuredMm })
    }
    case 'shim-fitted':
      return say('did.shim-fitted', { valve: valve(event.payload.valveId), mm: event.payload.mm })
    case 'cam-back':
      return say('did.cam-back')
    case 'set-chosen':
      return say('did.set-chosen', { valve: valve(event.payload.valveId) })
    case 'nut-loosened':
      return say('did.nut-loosened', { valve: valve(event.payload.valveId) })
    case 'prove-turned':
      return say('did.prove-turned', { turns: event.payload.turns })
    case 'gate-passed':
      return say('did.gate-passed', { words: event.payload.reason })
    case 'came-out':
      return say('did.came-out', event.payload)
    case 'went-back':
      return together('went-back', event.payload)
    case 'gasket':
      return say('did.gasket', { choice: event.payload.choice })
    case 'torqued': {
      const { what, item, torqueNm } = event.payload
      return what === 'part'
        ? say('did.tightened-part', { item: itemWords(item ?? ''), torqueNm })
        : say('did.tightened', { part: what, torqueNm })
    }
    case 'earlier-finding':
      return say('did.earlier', { done: event.payload.now === 'done' })
    case 'nuts-checked':
      return say('did.nuts-checked', event.payload)
    case 'pressure':
      return event.payload.kind === 'compression'
        ? say('did.compression', event.payload)
        : say('did.leak-down', event.payload)
    case 'complaint-after':
      return say('did.complaint-after', event.payload)
    case 'replaced':
      return say('did.replaced', { words: event.payload.text })
    case 'ran':
      return say('did.ran', { result: event.payload.result })
    case 'note':
      return say('did.note', { words: event.payload.text })
    case 'next-due':
      return say('did.next-due')
    case 'held':
      return say('did.held', { words: event.payload.reason })
    case 'resumed':
      return say('did.resumed')
    case 'abandoned':
      return say('did.abandoned', { words: event.payload.reason })
    case 'closed':
      return say('did.closed')
    case 'reopened':
      return say('did.reopened', { words: event.payload.reason })
    case 'placed':
      return say('did.placed', { when: event.payload.when })
    case 'retracted':
      return event.payload.how === 'turned back' ? say('did.turned-back') : say('did.undone')
  }
}

/** The event that an observation came with. */
export const eventIdOf = (observationId: string): string => observationId.split(':')[0]!

/** What was said of the crank, to stand by itself. */
export const notedWords = (engine: Engine, observation: Observation): Said =>
  say('said.capital', { of: observationWords(engine, observation) })
