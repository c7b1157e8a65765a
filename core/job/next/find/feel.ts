import { cylinderById, type Engine, type Valve, valveById } from '../../../engine'
import type { Advice, Observation } from '../../../position'
import { say, type Text } from '../../../said'
import type { JobView } from '../../view'
import { placeWords, whose } from '../../words'
import { lostTrack } from '../keys'
import { key, type Worded } from '../thing'
import { crank, timesRound, wentRound } from './place'

/** A valve's name without its cylinder's: “Intake”, “Exhaust 2”. */
function shortName(engine: Engine, valve: Valve): string {
  const cylinder = cylinderById(engine, valve.cylinderId).name
  const rest = valve.name.startsWith(cylinder) ? valve.name.slice(cylinder.length).trim() : valve.name
  return rest || valve.name
}

/** What the rockers of a cylinder tell here. */
function feelWhy(view: JobView, why: Extract<Advice, { kind: 'feel' }>['why'], cylinder: string | null): Text {
  if (why === 'decompressor or clearance')
    return view.state.noted.some(n => n.observation.kind === 'rocker')
      ? say('feel.why.released-still')
      : say('feel.why.released', { cylinder })
  return cylinder === null ? say('feel.why.stroke') : say('feel.why.stroke-of', { cylinder })
}

/** To feel the rockers of one or two valves here, with a key for each thing that they may do. */
export function feelDraft(view: JobView, { valveIds, why: reason }: Extract<Advice, { kind: 'feel' }>): Worded {
  const { engine } = view.pin.spec
  const play = (valveId: string, slack: boolean): Observation => ({ kind: 'rocker', valveId, slack })
  const [a, b] = valveIds.map(id => valveById(engine, id))
  const valve = a ?? valveById(engine, valveIds[0]!)
  const cylinder = whose(engine, valve.cylinderId)
  const stage: Worded['stage'] = {
    kind: 'wheel',
    target: null,
    feelValveIds: valveIds,
    cylinderId: a?.cylinderId ?? null,
  }
  const why = feelWhy(view, reason, cylinder)
  const label = wentRound(view)
    ? say('find.overshot', { times: timesRound(view) })
    : view.state.places > 1
      ? say('feel.again-here')
      : say('feel.one-should-settle')
  if (a && b) {
    const [first, second] = [shortName(engine, a), shortName(engine, b)]
    return {
      label,
      instruction: say('feel.both', { cylinder, role: a.role === b.role ? a.role : null }),
      why,
      stage,
      keys: [
        key(say('key.both-slack'), say('key.both-slack.help'), crank(play(a.id, true), play(b.id, true))),
        key(
          say('key.only-slack', { valve: first }),
          say('key.only-slack.help', { valve: second }),
          crank(play(a.id, true), play(b.id, false)),
        ),
        key(
          say('key.only-slack', { valve: second }),
          say('key.only-slack.help', { valve: first }),
          crank(play(a.id, false), play(b.id, true)),
        ),
        key(say('key.neither-moves'), say('key.neither-moves.help'), crank(play(a.id, false), play(b.id, false))),
      ],
    }
  }
  return {
    label,
    instruction: say('feel.one', { valve: valve.name }),
    why,
    stage,
    keys: [
      key(say('key.slack'), say('key.slack.help'), crank(play(valve.id, true))),
      key(say('key.no-play'), say('key.no-play.help'), crank(play(valve.id, false))),
      lostTrack,
    ],
  }
}

const WATCH_WHY = {
  'no play anywhere': say('watch.why.no-play-anywhere'),
  'still open': say('watch.why.still-open'),
  'by school': say('watch.why.by-school'),
}

/** To watch an intake open and close on the way to a place, which tells the stroke without feeling anything. */
export function watchDraft(view: JobView, { cylinderId, to, why }: Extract<Advice, { kind: 'watch' }>): Worded {
  const { engine } = view.pin.spec
  const place = placeWords(engine, to)
  return {
    label: say('watch.label'),
    instruction: say('watch', { cylinder: whose(engine, cylinderId), place }),
    why: WATCH_WHY[why],
    keys: [
      key(
        to.kind === 'mark' ? say('key.watched-there', { place }) : say('key.watched-top'),
        say('key.watched.help'),
        crank({ kind: 'watched', cylinderId, to }),
      ),
      lostTrack,
    ],
    stage: { kind: 'wheel', target: to, feelValveIds: [], cylinderId },
  }
}
