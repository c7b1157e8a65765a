import { type Engine, type Place, valveById, windowsOf } from '../engine'
import {
  type Effect,
  effectsOf,
  type Likeliest,
  locateWithout,
  type Observation,
  type Offered,
  placesToTell,
  type Position,
  questions,
} from '../position'
import { type Said, say, type Text } from '../said'
import { type School, schoolsFor, topPlace } from '../stops'
import { eventIdOf, observationWords } from './event-words'
import type { Happening } from './events'
import type { JobView } from './view'
import { placeWords, untilWords, whose } from './words'

/** One answer that may be given unasked. */
export interface Told {
  title: Text
  happening: Happening
}
/**
 * A thing that can be looked at or felt here: in words, its answers, how much of a bit it would tell now, at most 1,
 * and what was answered already.
 */
export interface OfferedWords {
  ask: Said
  answers: Told[]
  share: number
  /** The title of the answer that was given. */
  answered: Text | null
}

const told = (title: Text, ...observations: Observation[]): Told => ({
  title,
  happening: { type: 'crank', payload: { observations } },
})

function askWords(engine: Engine, q: Offered): Said {
  switch (q.kind) {
    case 'rocker':
      return say('ask.rocker', { valve: valveById(engine, q.valveId).name })
    case 'at the pointer':
      return say('ask.pointer', { window: windowsOf(engine).join(' / ') })
    case 'cam signs':
      return say('ask.cam-signs')
    case 'rod':
      return say('ask.rod', { cylinder: whose(engine, q.cylinderId) })
    case 'push-rods':
      return say('ask.push-rods', { cylinder: whose(engine, q.cylinderId) })
    case 'rocked':
      return say('ask.rocked', { cylinder: whose(engine, q.cylinderId) })
    case 'thumb':
      return say('ask.thumb', { cylinder: whose(engine, q.cylinderId) })
    case 'valve seen':
      return say('ask.valve-seen', { valve: valveById(engine, q.valveId).name })
  }
}

function answerWords(engine: Engine, o: Observation): Text {
  switch (o.kind) {
    case 'rocker':
      return o.slack ? say('answer.slack') : say('answer.no-play')
    case 'blade':
      return o.went ? say('answer.slack') : say('answer.no-play')
    case 'push-rods':
      return o.level ? say('answer.level') : say('answer.not-level')
    case 'rocked':
      return o.still ? say('answer.both-still') : say('answer.one-stirs')
    case 'thumb':
      return o.pressure ? say('answer.pressure') : say('answer.none')
    case 'seen':
      return seenWords(engine, o.place)
    default:
      return ''
  }
}

/** A place as it looks when it is there. */
function seenWords(engine: Engine, place: Place): Text {
  switch (place.kind) {
    case 'piston-top':
      return say('looks.top')
    case 'rod-drop':
      return say('looks.past-top', { dropMm: place.dropMm })
    case 'valve':
      return say('looks.valve', { sight: place.sight })
    case 'cam-mark':
      return say('said.capital', { of: engine.camMarks[place.camMarkIndex]?.words ?? '' })
    case 'mark':
      return say('said.capital', { of: placeWords(engine, place) })
  }
}

/** Below this a question tells nothing worth the look. In bits. */
const WORTH_ASKING_BITS = 0.005

/** What this engine offers to look at or feel here, in its own words, that which would tell most now first. */
export function offeredWords(view: JobView): OfferedWords[] {
  const { engine } = view.pin.spec
  return questions(view.model, view.position.belief, view.state.noted, view.position.lashDeg).map(q => ({
    ask: askWords(engine, q),
    share: q.bits < WORTH_ASKING_BITS ? 0 : Math.min(1, q.bits),
    answered: q.answered && answerWords(engine, q.answered),
    answers: q.answers.map(o => told(answerWords(engine, o), o)),
  }))
}

/** How the crank may have been turned without being asked to. */
export function turnsToTell(view: JobView): Told[] {
  const { engine } = view.pin.spec
  return [
    ...placesToTell(view.model).map(to =>
      told(say('told.on-until', { until: untilWords(engine, to) }), { kind: 'move', to }),
    ),
    ...engine.cylinders.map(c => {
      const to = topPlace(engine, c.id)
      const title = say('told.watched', { cylinder: whose(engine, c.id), place: placeWords(engine, to) })
      return told(title, { kind: 'watched', cylinderId: c.id, to })
    }),
    told(say('told.lost-count'), { kind: 'lost' }),
  ]
}

/** A turn by hand in degrees, as it is told: backward is negative. */
export const turnTold = (deg: number): Happening => ({
  type: 'crank',
  payload: { observations: [{ kind: 'turn', deg }] },
})

/** What one answer did, in words. */
export interface EffectWords {
  eventId: string
  words: Said
  before: Said
  after: Said
  /** Information about the crank's place, in bits. */
  bits: number
  /** Why it counts for nothing, or null. */
  idle: Said | null
  clashes: boolean
  /** It was turned back on the engine: that stays on record and cannot be taken back again. */
  gone: boolean
}

const placeAndChance = (likeliest: Likeliest): Said =>
  likeliest ? say('likely', { place: likeliest.name, percent: likeliest.probability * 100 }) : say('likely.anywhere')
const IDLE = { 'replaced': say('idle.replaced'), 'turned back': say('idle.turned-back') }

/** The reasons for where the crank is said to be: what each answer of the job did, the latest first. */
export function reasons(view: JobView): EffectWords[] {
  const { engine } = view.pin.spec
  const groups = new Map<string, Effect[]>()
  for (const effect of effectsOf(view.model, view.state.noted, view.tools.memoryFor(view.state.decompressor))) {
    const id = eventIdOf(effect.noted.id)
    groups.set(id, [...(groups.get(id) ?? []), effect])
  }
  return [...groups]
    .map(([eventId, effects]) => ({
      eventId,
      words: say('said.all', {
        of: effects.map(e => observationWords(engine, e.noted.observation)),
        joint: ' and ',
      }),
      before: placeAndChance(effects[0]!.before),
      after: placeAndChance(effects.at(-1)!.after),
      bits: effects.reduce((sum, e) => sum + e.bits, 0),
      idle: effects.every(e => e.idle !== null) ? IDLE[effects[0]!.idle!] : null,
      clashes: effects.some(e => e.clashes),
      gone: view.state.retracted.has(eventId),
    }))
    .reverse()
}

/** Where the crank would be said to be without one answer, to see what hangs on it. */
export const positionWithout = (view: JobView, eventId: string): Position =>
  locateWithout(view.model, view.state.noted, n => eventIdOf(n.id) === eventId)

/** One way of finding stops, as it is offered. */
export interface SchoolWords {
  school: School
  name: Said
  help: Said
  caution: Said
  chosen: boolean
  favourite: boolean
}

/** The ways of finding stops that this engine can be done by, the shop's favourite first. */
export function schoolChoices(view: JobView, favourite: School | null): SchoolWords[] {
  return schoolsFor(view.pin.spec.engine)
    .map(school => ({
      school,
      name: say(`school.${school}`),
      help: say(`school.${school}.help`),
      caution: say(`school.${school}.caution`),
      chosen: school === view.school,
      favourite: school === favourite,
    }))
    .sort((a, b) => Number(b.favourite) - Number(a.favourite))
}
