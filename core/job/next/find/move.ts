import { type Engine, type Place, placePeriod, samePlace, shapeOf, windowOf } from '../../../engine'
import type { Advice, Observation } from '../../../position'
import { say, type Text } from '../../../said'
import type { Stop } from '../../../stops'
import type { JobView } from '../../view'
import { placeWords, untilWords } from '../../words'
import { kickedOn, lostTrack } from '../keys'
import { key, type Worded } from '../thing'
import { marginWords, pastTopWords } from './margin'
import { crank, cylinderFor, lastPlace, timesRound, wentRound } from './place'

/** Why the crank is to be turned to a place that was not asked for before. */
function startWhy(view: JobView, to: Place, stop: Stop | undefined): Text {
  const { engine } = view.pin.spec
  const mark = to.kind === 'mark' ? engine.marks[to.markIndex] : undefined
  if (mark) {
    const look = say('mark.look', { letter: mark.letter, shape: shapeOf(mark) })
    return say('find.why.line', { look, window: windowOf(engine, mark) })
  }
  if (to.kind === 'rod-drop' && stop) return pastTopWords(engine, stop)
  return placePeriod(to) === 720 ? say('find.why.once-a-cycle') : say('find.why.piston-top')
}

/** How far a stop is ahead, and how exactly it wants to be met. */
function aheadWhy(view: JobView, stop: Stop | undefined, turnDeg: number | null): Text {
  const { engine } = view.pin.spec
  if (stop?.place.kind === 'rod-drop') return pastTopWords(engine, stop)
  return [
    turnDeg === null ? '' : say('find.why.ahead', { deg: Math.round(turnDeg) }),
    stop ? marginWords(engine, stop) : '',
  ]
}

function moveWhy(view: JobView, { to, why, turnDeg }: Extract<Advice, { kind: 'move' }>): Text {
  const stop = view.model.plan.stops.find(s => samePlace(s.place, to))
  // an overshoot is made good by going around: so many turns more, which are counted
  const round = wentRound(view) ? say('find.overshot.sentence', { times: timesRound(view) }) : ''
  switch (why) {
    case 'start':
      return startWhy(view, to, stop)
    case 'neither has play':
      return [round, say('find.why.neither-has-play')]
    case 'one has play':
      return [round, to.kind === 'rod-drop' ? say('find.why.held-maybe') : say('find.why.one-has-play')]
    case 'stop is elsewhere':
      return [round, aheadWhy(view, stop, turnDeg)]
    case 'try the other top':
      return [round, say('find.why.try-the-other-top')]
    case 'tells most':
      return [round, say('find.why.tells-most')]
    case 'turned back':
      return say('find.why.turned-back')
    case 'by school':
      return say('find.why.once-a-cycle')
  }
}

/** How it is turned is said where turning begins, not at each move. */
const BEGINS: ReadonlySet<string> = new Set(['start', 'by school'])

/** What is said to have been reached. */
function arrivedWords(engine: Engine, to: Place): Text {
  switch (to.kind) {
    case 'piston-top':
      return say('key.rod-highest')
    case 'rod-drop':
      return say('key.down', { dropMm: to.dropMm })
    case 'mark':
      return say('key.is-there', { place: placeWords(engine, to) })
    default:
      return say('key.it-is-there')
  }
}

/** To turn the crank to a place, with a key for having gone past it. */
export function moveDraft(view: JobView, advice: Extract<Advice, { kind: 'move' }>): Worded {
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
  const toIt = untilWords(engine, to)
  const until = times > 1 ? say('until.second-time', { until: toIt }) : toIt
  const { direction, seenFrom, means, by } = engine.turning
  const ahead =
    turnDeg !== null && engine.cylinders.length > 1
      ? say('find.turn-another', { deg: turnDeg, until })
      : say('find.turn-until', { until })
  return {
    label: view.pin.quick
      ? say('find.turn.label.as-it-runs')
      : say('find.turn.label', { runs: say(`runs.${direction}`), seenFrom, means }),
    instruction: !turns
      ? ahead
      : samePlace(lastPlace(view), to)
        ? say('find.one-more-turn', { until })
        : say('find.one-turn-and-on', { until }),
    why: [moveWhy(view, advice), by && BEGINS.has(advice.why) ? say('turn-by', { by }) : ''],
    keys: [
      key(arrivedWords(engine, to), say('key.stopped-there'), crank(arrived)),
      key(say('key.overshot'), say('key.overshot.to-it-again'), crank(...round)),
      by === 'pull starter' || by === 'kick' ? kickedOn : lostTrack,
    ],
    stage: { kind: 'wheel', target: to, feelValveIds: [], cylinderId: cylinderFor(view, to) },
  }
}
