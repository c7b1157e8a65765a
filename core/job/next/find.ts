import {
  cylinderById,
  decompressorArc,
  type Engine,
  forwardTo,
  type Place,
  placePeriod,
  samePlace,
  type Valve,
  valveById,
} from '../../engine'
import { type Advice, adviseByTable, cylindersAt, movesCrank, type Observation } from '../../position'
import { intervalWords } from '../../feeler'
import type { Stop } from '../../stops'
import type { Happening } from '../events'
import { eventIdOf } from '../event-words'
import { lastPlaceIn } from '../crank-work'
import { nearestStop, type Requirement, wantedStops } from '../requirements'
import { presentReading } from '../state'
import { differsHere } from '../two-places'
import type { JobView } from '../view'
import { crankTurnWords, dropWords, placeWords, turningWords, untilWords } from '../words'
import { type Worded, key } from './thing'

const crank = (...observations: Observation[]): Happening => ({ type: 'crank', payload: { observations } })
const lost = key('I lost track', 'turned back, or looked away', crank({ kind: 'lost' }))

/** A valve's name without its cylinder's: “intake”, “exhaust 2”. */
function shortName(engine: Engine, valve: Valve): string {
  const cylinder = cylinderById(engine, valve.cylinderId).name
  const rest = valve.name.startsWith(cylinder) ? valve.name.slice(cylinder.length).trim() : valve.name
  return (rest || valve.name).toLowerCase()
}
const whose = (engine: Engine, cylinderId: string): string =>
  engine.cylinders.length > 1 ? `${cylinderById(engine, cylinderId).name.toLowerCase()} ` : ''

/** The place the crank was last brought to, for asking whether it is still there. */
export const lastPlace = ({ state }: JobView): Place | null => lastPlaceIn(state.noted)

/** The cylinder that a place is about, for the picture; null leaves it to the picture. */
const cylinderFor = (view: JobView, place: Place | null): string | null =>
  place ? (cylindersAt(view.model, place)[0] ?? null) : null

/** From so much to spare on, a finger's width on the flywheel does not matter. From memory. */
const FINGERS_WIDTH_DEG = 30

/** What is to spare short of a stop and past it, whole degrees; null while cam or decompressor are not on record. */
export function marginOf(engine: Engine, stop: Stop): { beforeDeg: number; afterDeg: number; easy: boolean } | null {
  if (engine.cam === null || engine.decompressor.kind === 'unknown' || stop.valves.length === 0) return null
  const beforeDeg = Math.floor(Math.min(...stop.valves.map(v => v.beforeDeg)))
  const afterDeg = Math.floor(Math.min(...stop.valves.map(v => v.afterDeg)))
  return { beforeDeg, afterDeg, easy: Math.min(beforeDeg, afterDeg) >= FINGERS_WIDTH_DEG }
}

/** How exact the crank must be at a stop, or nothing while cam or decompressor are not on record. */
export function marginWords(engine: Engine, stop: Stop): string {
  const margin = marginOf(engine, stop)
  if (!margin) return ''
  const { beforeDeg: before, afterDeg: after, easy } = margin
  if (easy)
    return `${Math.min(before, after)}° to spare each way: being a finger’s width off ${placeWords(engine, stop.place)} doesn’t matter.`
  return `${before}° to spare before it, ${after}° after it: stop on it with care.`
}

/** Why a stop lies past top, and how far the rod should drop. */
export function pastTopWords(engine: Engine, stop: Stop): string {
  if (stop.place.kind !== 'rod-drop') return ''
  const { cylinderId, dropMm } = stop.place
  const held = engine.valves
    .filter(v => v.cylinderId === cylinderId)
    .map(v => decompressorArc(engine, v))
    .find(arc => arc !== null)
  const firing = cylinderById(engine, cylinderId).firingAngleDeg
  const at = Math.round(forwardTo(firing, stop.crankDeg))
  const why = held
    ? `A decompressor ${engine.decompressor.kind === 'unknown' ? 'may hold' : 'holds'} the exhaust until ${Math.round(forwardTo(firing, held.startDeg + held.sweepDeg))}° past top; at ${at}° past top it has released.`
    : `Not every valve is closed at the top; ${at}° past top all are.`
  return `${why} Piston ${dropWords(dropMm)} down${engine.rodMm === null ? ' (con-rod length assumed)' : ''}.`
}

/** Whether the last answer was of going past a place and coming round to it once more. */
function wentRound({ state }: JobView): boolean {
  const [a, b] = [state.noted.at(-2), state.noted.at(-1)]
  return (
    a !== undefined &&
    b?.observation.kind === 'turns' &&
    a.observation.kind === 'move' &&
    eventIdOf(a.id) === eventIdOf(b.id)
  )
}
/** How often on this job a place was passed and come round to again. */
const timesRound = ({ state }: JobView): number =>
  state.noted.filter((n, i) => {
    const before = state.noted[i - 1]
    return (
      n.observation.kind === 'turns' && before?.observation.kind === 'move' && eventIdOf(before.id) === eventIdOf(n.id)
    )
  }).length

/** An overshoot is made good by going around: so many turns more, which are counted. */
const overshotWords = (view: JobView): string =>
  timesRound(view) === 1
    ? 'Overshot: one extra turn counted'
    : `Overshot ${timesRound(view)} times: extra turns counted`

function moveWhy(view: JobView, { to, why, turnDeg }: Extract<Advice, { kind: 'move' }>): string {
  const { engine } = view.pin.spec
  const stop = view.model.plan.stops.find(s => samePlace(s.place, to))
  const round = wentRound(view) ? `${overshotWords(view)}. ` : ''
  switch (why) {
    case 'start':
      return to.kind === 'mark'
        ? `The line beside ${placeWords(engine, to)} in ${engine.markWindow}. It comes up twice a cycle; the rockers tell you which one this is.`
        : to.kind === 'rod-drop' && stop
          ? pastTopWords(engine, stop)
          : placePeriod(to) === 720
            ? 'It comes up once a cycle, so it gives you the stroke by itself.'
            : 'The piston tops out twice a cycle; the rockers tell you which one this is. Use a wood or plastic rod, never steel.'
    case 'neither has play':
      return `${round}Neither rocker has play, so this is most likely exhaust TDC. The next one is compression.`
    case 'one has play':
      return to.kind === 'rod-drop'
        ? `${round}A decompressor may be holding one open. Past top it releases: feel again there.`
        : `${round}This is the other stroke, or a valve has no clearance. One more turn will tell.`
    case 'stop is elsewhere':
      return `${round}${stop?.place.kind === 'rod-drop' ? pastTopWords(engine, stop) : `${turnDeg === null ? '' : `The stop is ${Math.round(turnDeg)}° ahead. `}${stop ? marginWords(engine, stop) : ''}`}`.trim()
    case 'try the other top':
      return `${round}That didn’t settle it. Feel both again at the next TDC.`
    case 'tells most':
      return `${round}Feeling the rockers there gives you the stroke with the least turning.`
    case 'turned back':
      return 'After turning backward, the chain and the decompressor give false readings. Go all the way around in the running direction.'
    case 'by school':
      return 'It comes up once a cycle, so it gives you the stroke by itself.'
  }
}

function moveDraft(view: JobView, advice: Extract<Advice, { kind: 'move' }>): Worded {
  const { engine } = view.pin.spec
  const { to, turns, times, turnDeg } = advice
  const arrived: Observation = turns
    ? { kind: 'turns', turns, to }
    : { kind: 'move', to, ...(times > 1 ? { times } : {}) }
  const again = placePeriod(to) / 360
  const round: Observation[] = turns
    ? [{ kind: 'turns', turns: turns + again, to }]
    : [
        { kind: 'move', to, ...(times > 1 ? { times } : {}) },
        { kind: 'turns', turns: again, to },
      ]
  const second = times > 1 ? ', the second time' : ''
  const far =
    turnDeg !== null && engine.cylinders.length > 1 ? `Turn another ${crankTurnWords(turnDeg)}, until` : 'Turn until'
  const until = `${untilWords(engine, to)}${second}`
  return {
    label: `Turn ${turningWords(engine)}`,
    instruction: turns
      ? samePlace(lastPlace(view), to)
        ? `One more full turn, until ${until}`
        : `One full turn, then on until ${until}`
      : `${far} ${until}`,
    why: moveWhy(view, advice),
    keys: [
      key(
        to.kind === 'piston-top'
          ? 'Rod at its highest'
          : to.kind === 'rod-drop'
            ? `${to.dropMm} mm down`
            : to.kind === 'mark'
              ? `${placeWords(engine, to)} is there`
              : 'It is there',
        'stopped there',
        crank(arrived),
      ),
      key('Overshot it', 'went around to it again', crank(...round)),
      lost,
    ],
    stage: { kind: 'wheel', target: to, feelValveIds: [], cylinderId: cylinderFor(view, to) },
  }
}

function feelDraft(view: JobView, { valveIds, why }: Extract<Advice, { kind: 'feel' }>): Worded {
  const { engine } = view.pin.spec
  const play = (valveId: string, slack: boolean): Observation => ({ kind: 'rocker', valveId, slack })
  const [a, b] = valveIds.map(id => valveById(engine, id))
  const cylinderId = a?.cylinderId ?? null
  const stage: Worded['stage'] = { kind: 'wheel', target: null, feelValveIds: valveIds, cylinderId }
  const several = engine.cylinders.length > 1
  const felt = view.state.noted.some(n => n.observation.kind === 'rocker')
  const whyWords =
    why === 'decompressor or clearance'
      ? felt
        ? 'The decompressor has released here. If it’s slack now, it was the decompressor.'
        : `The decompressor has released here. If both are slack, ${several ? whose(engine, a!.cylinderId) : 'it '}is on compression.`
      : several
        ? `Both slack: ${whose(engine, a!.cylinderId).trim()} is on compression. Neither moves: it’s on exhaust, or two valves have no clearance.`
        : 'Both slack: compression. Neither moves: exhaust TDC, or two valves with no clearance.'
  const label = wentRound(view)
    ? overshotWords(view)
    : view.state.places > 1
      ? 'Feel again here'
      : 'One feel should settle it'
  if (a && b) {
    const [first, second] = [shortName(engine, a), shortName(engine, b)]
    const both =
      a.role === b.role
        ? `both ${whose(engine, a.cylinderId)}${a.role} rockers`
        : `both ${whose(engine, a.cylinderId)}rockers`
    return {
      label,
      instruction: `Wiggle ${both}`,
      why: whyWords,
      stage,
      keys: [
        key('Both slack', 'each clicks', crank(play(a.id, true), play(b.id, true))),
        key(`Only ${first} slack`, `${second} does not move`, crank(play(a.id, true), play(b.id, false))),
        key(`Only ${second} slack`, `${first} does not move`, crank(play(a.id, false), play(b.id, true))),
        key('Neither moves', 'no play at all', crank(play(a.id, false), play(b.id, false))),
      ],
    }
  }
  const valve = a ?? valveById(engine, valveIds[0]!)
  return {
    label,
    instruction: `Wiggle the ${valve.name.toLowerCase()} rocker`,
    why: whyWords,
    stage,
    keys: [
      key('Slack', 'it clicks', crank(play(valve.id, true))),
      key('No play', 'it does not move', crank(play(valve.id, false))),
      lost,
    ],
  }
}

function watchDraft(view: JobView, { cylinderId, to, why }: Extract<Advice, { kind: 'watch' }>): Worded {
  const { engine } = view.pin.spec
  const because = {
    'no play anywhere':
      'No play at either TDC: maybe two valves have no clearance. Watching the intake gives you the stroke.',
    'still open': 'The rockers don’t settle it; watching the intake does. Don’t look away in between.',
    'by school': 'The first top after the intake closes is compression. Don’t look away in between.',
  }
  return {
    label: 'This gives you the stroke, whatever the rockers do',
    instruction: `Watch the ${whose(engine, cylinderId)}intake open and close, then turn to ${placeWords(engine, to)}`,
    why: because[why],
    keys: [
      key(
        `Watched; ${to.kind === 'mark' ? `${placeWords(engine, to)} is there` : 'at the top'}`,
        'didn’t look away',
        crank({ kind: 'watched', cylinderId, to }),
      ),
      lost,
    ],
    stage: { kind: 'wheel', target: to, feelValveIds: [], cylinderId },
  }
}

const WEIGHING: Worded = {
  waits: true,
  label: 'One moment',
  instruction: 'Working out your next move',
  why: 'Finding the move that settles the most with the least turning.',
  keys: [lost],
  stage: { kind: 'wheel', target: null, feelValveIds: [], cylinderId: null },
}

/** A screw opened in vain: the valve is held open here, whatever was answered before. */
function vainDraft(view: JobView, valveId: string): Worded {
  const { name, cylinderId } = valveById(view.pin.spec.engine, valveId)
  const vain = view.state.noted.filter(
    ({ id, observation: o }) => id.endsWith(':vain') && o.kind === 'rocker' && o.valveId === valveId,
  )
  const again = vain.length > 1
  const anew = key('Find it again', 'forget what was assumed', crank({ kind: 'lost' }))
  const another = key('Another method', 'choose how to find the stops', null, 'school')
  const back = key('Turned back and locked', 'as it was found', {
    type: 'screw-checked',
    payload: { valveId, found: 'turned back' },
  })
  return {
    label: `${name}: leave it as it is`,
    instruction: `Stop: the ${name.toLowerCase()} isn’t closed here`,
    why: `${valveById(view.pin.spec.engine, valveId).adjuster === 'shim' ? 'Its shim is far thinner now' : 'Its screw was opened a long way'} and the blade still won’t go in, so something holds it open here. Leave it alone and find the position again.`,
    keys: again ? [back, anew, another] : [anew, another, back],
    stage: { kind: 'wheel', target: null, feelValveIds: [valveId], cylinderId },
  }
}

/** A locked valve that reads differently at two places: never a matter for its screw. */
function differsDraft(view: JobView, valveId: string): Worded {
  const valve = view.state.valves.find(v => v.valveId === valveId)!
  const { name, cylinderId } = valveById(view.pin.spec.engine, valveId)
  const { there, here, decompressor, places } = differsHere(view, valve)!
  const words = (i: typeof here) => intervalWords(i, view.pin.unit)
  const anew = key('Find it again', 'forget what was assumed', crank({ kind: 'lost' }))
  const another = key('Another method', 'choose how to find the stops', null, 'school')
  const held = key('A decompressor holds it open', 'measure past the top', {
    type: 'decompressor-tested',
    payload: {
      valveId,
      there: true,
      bladesMm: presentReading(valve)!.trials.at(-1)!.engravedMm ?? [here.loMm || 0.05],
    },
  })
  const goOn = key('Continue', 'say why', null, 'reason')
  return {
    label: `${name}: two places, two readings`,
    instruction: `Leave the ${name.toLowerCase()} screw alone: it reads differently here`,
    why: `It was ${words(there)} before and is ${words(here)} here, and its nut wasn’t touched. A valve that isn’t fully closed reads tighter, so this is the wrong position for it.`,
    keys: [...(decompressor ? [held] : []), ...(places > 1 ? [goOn, anew] : [anew, another, goOn])],
    stage: { kind: 'wheel', target: null, feelValveIds: [valveId], cylinderId },
    ...(places > 1 && !decompressor ? { wayOut: true as const } : {}),
  }
}

/** A valve that no stop of the chosen school serves. */
function noStopDraft(view: JobView, valveId: string): Worded {
  const { name, cylinderId } = valveById(view.pin.spec.engine, valveId)
  return {
    label: `${name}: no stop`,
    instruction: `No stop works for the ${name.toLowerCase()}`,
    why: 'By this engine’s cam data it isn’t closed at any of these stops. Choose another method, or continue and say why.',
    keys: [
      key('Another method', 'choose how to find the stops', null, 'school'),
      key('Measure it anyway', 'say why', null, 'reason'),
    ],
    stage: { kind: 'wheel', target: null, feelValveIds: [valveId], cylinderId },
  }
}

/**
 * So often an intake is watched, and so often the crank is moved, before it is said that this settles nothing. From
 * memory.
 */
const MOST_WATCHED = 2
const MOST_MOVES = 12

/**
 * Whether the place was sought so long, since a blade was last tried or the place given up, that more of the same
 * settles nothing.
 */
function soughtInVain({ noted }: JobView['state'], advice: Advice): boolean {
  const since = noted.findLastIndex(
    ({ observation: o }) => o.kind === 'blade' || o.kind === 'screw-set' || o.kind === 'lost',
  )
  const moves = noted.slice(since + 1).filter(n => movesCrank(n.observation))
  const watched = moves.filter(n => n.observation.kind === 'watched').length
  return moves.length >= MOST_MOVES || (advice.kind === 'watch' && watched >= MOST_WATCHED)
}

/** What is felt does not agree with what was watched, and keeps doing so. */
function inVainDraft(view: JobView): Worded {
  const { engine } = view.pin.spec
  const stop = nearestStop(view)
  const place = stop?.place ?? lastPlace(view)
  const cylinderId = stop ? cylinderFor(view, stop.place) : null
  return {
    label: 'The answers conflict',
    instruction: 'The crank position is still not certain',
    why: `You have checked several times, and the answers still conflict. A stiff rocker can feel as if it has no play: press on its valve end. Then start over, find the stops by another method, or continue${place ? ` at ${placeWords(engine, place)}` : ''} and say why.`,
    keys: [
      key('Continue here', 'say why', null, 'reason'),
      key('Start over', 'forget what was assumed', crank({ kind: 'lost' })),
      key('Another method', 'choose how to find the stops', null, 'school'),
    ],
    stage: { kind: 'wheel', target: null, feelValveIds: [], cylinderId },
    wayOut: true,
  }
}

/** The Find step: the next whole move or feel. */
export function findThing(view: JobView, { what }: Requirement): Worded {
  if (what.kind === 'no-stop') return noStopDraft(view, what.valveId)
  if (what.kind === 'vain') return vainDraft(view, what.valveId)
  if (what.kind === 'differs') return differsDraft(view, what.valveId)
  const { model, position, state } = view
  const advice =
    adviseByTable(model, position, state.noted, wantedStops(view)) ?? view.tools.weigh(model, position, state.noted)
  if (advice === null) return WEIGHING
  if (advice.kind !== 'settled' && advice.kind !== 'feel' && soughtInVain(state, advice)) return inVainDraft(view)
  switch (advice.kind) {
    case 'move':
      return moveDraft(view, advice)
    case 'feel':
      return feelDraft(view, advice)
    case 'watch':
      return watchDraft(view, advice)
    case 'settled':
      return {
        label: 'Found',
        instruction: 'The valves are closed here',
        why: '',
        keys: [lost],
        stage: { kind: 'wheel', target: null, feelValveIds: [], cylinderId: null },
      }
  }
}
