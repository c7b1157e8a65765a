import { cylinderById, type Engine, type Place, valveById } from '../engine'
import {
  type Effect,
  effectsOf,
  type Likeliest,
  locateWithout,
  type Offered,
  type Observation,
  placesToTell,
  type Position,
  questions,
} from '../position'
import { SCHOOL_CAUTION, SCHOOL_HELP, SCHOOL_NAMES, listed, placeWords, untilWords } from './words'
import { type School, schoolsFor, topPlace } from '../stops'
import { eventIdOf, notedWords, observationWords } from './event-words'
import type { Happening } from './events'
import type { JobView } from './view'

/** One answer that may be given unasked. */
export interface Told {
  title: string
  happening: Happening
}
/**
 * A thing that can be looked at or felt here: in words, its answers, how much of a bit it would tell now, at most 1,
 * and what was answered already.
 */
export interface OfferedWords {
  ask: string
  answers: Told[]
  share: number
  answered: string | null
}

const said = (title: string, ...observations: Observation[]): Told => ({
  title,
  happening: { type: 'crank', payload: { observations } },
})
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

function askWords(engine: Engine, q: Offered): string {
  const whose = (id: string) => (engine.cylinders.length > 1 ? `${cylinderById(engine, id).name.toLowerCase()} ` : '')
  switch (q.kind) {
    case 'rocker':
      return `${valveById(engine, q.valveId).name} rocker`
    case 'at the pointer':
      return `The line at the pointer, in ${engine.markWindow}`
    case 'cam signs':
      return 'The cam sign'
    case 'rod':
      return `Soft rod in the ${whose(q.cylinderId)}plug hole`
    case 'push-rods':
      return capital(`${whose(q.cylinderId)}push-rod ends`)
    case 'rocked':
      return `Crank rocked a little: ${whose(q.cylinderId)}valves`
    case 'thumb':
      return `Thumb on the ${whose(q.cylinderId)}plug hole, coming up to here`
    case 'valve seen':
      return `${valveById(engine, q.valveId).name} by eye`
  }
}

function answerWords(engine: Engine, o: Observation): string {
  switch (o.kind) {
    case 'rocker':
      return o.slack ? 'Slack' : 'No play'
    case 'blade':
      return o.went ? 'Slack' : 'No play'
    case 'push-rods':
      return o.level ? 'Level' : 'Not level'
    case 'rocked':
      return o.still ? 'Both still' : 'One stirs'
    case 'thumb':
      return o.pressure ? 'Pressure' : 'None'
    case 'seen':
      switch (o.place.kind) {
        case 'piston-top':
          return 'At its top'
        case 'rod-drop':
          return `${o.place.dropMm} mm past top`
        case 'valve':
          return capital(o.place.sight === 'fully open' ? 'fully down' : o.place.sight)
        default:
          return capital(placeWordsLong(engine, o.place))
      }
    default:
      return ''
  }
}
const placeWordsLong = (engine: Engine, place: Place): string =>
  place.kind === 'cam-mark' ? (engine.camMarks[place.camMarkIndex]?.words ?? '') : placeWords(engine, place)

/** Below this a question tells nothing worth the look. In bits. */
const WORTH_ASKING_BITS = 0.005

/** What this engine offers to look at or feel here, in its own words, that which would tell most now first. */
export function offeredWords(view: JobView): OfferedWords[] {
  const { engine } = view.pin.spec
  return questions(view.model, view.position.belief, view.state.noted, view.position.lashDeg).map(q => ({
    ask: askWords(engine, q),
    share: q.bits < WORTH_ASKING_BITS ? 0 : Math.min(1, q.bits),
    answered: q.answered && answerWords(engine, q.answered),
    answers: q.answers.map(o => said(answerWords(engine, o), o)),
  }))
}

/** How the crank may have been turned without being asked to. */
export function turnsToTell(view: JobView): Told[] {
  const { engine } = view.pin.spec
  return [
    ...placesToTell(view.model).map(to => said(`On until ${untilWords(engine, to)}`, { kind: 'move', to })),
    ...engine.cylinders.map(c => {
      const to = topPlace(engine, c.id)
      return said(
        `Watched the ${engine.cylinders.length > 1 ? `${c.name.toLowerCase()} ` : ''}intake open and close, then turn to ${placeWords(engine, to)}`,
        { kind: 'watched', cylinderId: c.id, to },
      )
    }),
    said('I lost count, or somebody turned it', { kind: 'lost' }),
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
  words: string
  before: string
  after: string
  /** Information about the crank's place, in bits. */
  bits: number
  /** Why it counts for nothing, or empty. */
  idle: string
  clashes: boolean
  /** It was turned back on the engine: that stays on record and cannot be taken back again. */
  gone: boolean
}

const sureWords = (probability: number): string =>
  probability > 0.995 ? 'over 99 %' : `${Math.round(probability * 100)} %`
const placeAndChance = (likeliest: Likeliest): string =>
  likeliest ? `${likeliest.name}, ${sureWords(likeliest.probability)}` : 'anywhere'
const IDLE = {
  'replaced': 'replaced by a later answer',
  'turned back': 'the crank had been turned back: the cam lagged',
}

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
      words: listed(effects.map((e, i) => (i ? observationWords : notedWords)(engine, e.noted.observation))),
      before: placeAndChance(effects[0]!.before),
      after: placeAndChance(effects.at(-1)!.after),
      bits: effects.reduce((sum, e) => sum + e.bits, 0),
      idle: effects.every(e => e.idle !== null) ? IDLE[effects[0]!.idle!] : '',
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
  name: string
  help: string
  caution: string
  chosen: boolean
  favourite: boolean
}

/** The ways of finding stops that this engine can be done by, the shop's favourite first. */
export function schoolChoices(view: JobView, favourite: School | null): SchoolWords[] {
  return schoolsFor(view.pin.spec.engine)
    .map(school => ({
      school,
      name: SCHOOL_NAMES[school],
      help: SCHOOL_HELP[school],
      caution: SCHOOL_CAUTION[school],
      chosen: school === view.school,
      favourite: school === favourite,
    }))
    .sort((a, b) => Number(b.favourite) - Number(a.favourite))
}
