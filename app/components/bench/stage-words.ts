import { cylinderById, type Engine, shapeOf, wrap } from '~~/core/engine'
import { type JobView, marginOf } from '~~/core/job'
import { say } from '~~/core/said'
import type { Stop } from '~~/core/stops'
import { named, t, tell } from '../../words'

export interface Statement {
  title: string
  words: string
}

/** Where the crank may be, for the corner of the wheel. */
export function placeStatement({ position }: JobView): Statement {
  const { arcs, standing, peakDeg } = position
  const first = arcs[0]
  if (!first || first.sweepDeg > 700)
    return { title: t('stage-words.anywhere'), words: t('stage-words.nothing-was-seen-of-the') }
  const deg = (d: number) => `${Math.round(d)}°`
  if (standing.kind === 'settled')
    return { title: t('stage-words.settled-at', { peakDeg: deg(peakDeg) }), words: tell(first.name) }
  const likely = arcs.filter(a => a.probability > 0.02)
  if (likely.length === 1)
    return {
      title: deg(peakDeg),
      words:
        standing.kind === 'elsewhere'
          ? t('stage-words.known-but-not-the-stop', { name: tell(first.name) })
          : tell(first.name),
    }
  return {
    title: t('stage-words.or', { first: deg(likely[0]!.peakDeg), second: deg(likely[1]!.peakDeg) }),
    words: t('stage-words.places-fit-what-was-seen', {
      count: likely.length === 2 ? t('stage-words.two') : likely.length,
    }),
  }
}

/** “Both left valves”, “All four valves”, “Left exhaust and right intake”: what a stop serves. */
function servedWords(engine: Engine, stop: Stop): string {
  const served = engine.valves.filter(v => stop.valves.some(s => s.valveId === v.id))
  const cylinders = [...new Set(served.map(v => v.cylinderId))]
  const own = engine.valves.filter(v => v.cylinderId === cylinders[0])
  if (cylinders.length === 1 && served.length === own.length && own.length > 1) {
    const whose = engine.cylinders.length > 1 ? `${named(cylinderById(engine, cylinders[0]!).name).toLowerCase()} ` : ''
    return t('stage-words.valves', {
      count: own.length === 2 ? t('stage-words.both') : t('stage-words.all', { count: own.length }),
      whose,
    })
  }
  const whole = cylinders.filter(id => engine.valves.filter(v => v.cylinderId === id).every(v => served.includes(v)))
  const words = t('list', {
    of: [
      ...whole.map(id =>
        t(own.length === 2 ? 'stage-words.both-of' : 'stage-words.all-of', {
          cylinder: named(cylinderById(engine, id).name).toLowerCase(),
        }),
      ),
      ...served.filter(v => !whole.includes(v.cylinderId)).map(v => named(v.name).toLowerCase()),
    ],
  })
  return words.charAt(0).toUpperCase() + words.slice(1)
}

/** What is to spare at a stop, or why nothing is promised. */
function spareWords(engine: Engine, stop: Stop): string {
  const margin = marginOf(engine, stop)
  if (!margin)
    return engine.cam === null
      ? t('stage-words.cam-assumed-meet-it-well')
      : t('stage-words.a-decompressor-is-possible-meet')
  const { beforeDeg, afterDeg, easy } = margin
  return easy
    ? t('stage-words.spare-each-way', { beforeDeg: Math.min(beforeDeg, afterDeg) })
    : t('stage-words.spare-short-of-it-past', { beforeDeg, afterDeg })
}

/** The stop and how exact it must be met; nothing is promised while the cam is assumed or a decompressor possible. */
export function stopStatement({ pin, model }: JobView, stop: Stop | null): Statement {
  if (!stop) return { title: t('stage-words.no-stop'), words: t('stage-words.no-place-serves-the-valves') }
  const { engine } = pin.spec
  const which = model.plan.stops.length > 1 ? ` ${model.plan.stops.indexOf(stop) + 1}` : ''
  const where = t('stage-words.stop-at', { which, crankDeg: Math.round(stop.crankDeg) })
  if (stop.place.kind === 'rod-drop')
    return {
      title: where,
      words: t('stage-words.past-top-rod-down', { value: tell(say('drop', { dropMm: stop.place.dropMm })) }),
    }
  return {
    title: where,
    words: t('stage-words.shut', { valves: servedWords(engine, stop), spare: spareWords(engine, stop) }),
  }
}

/** How to turn: the drawing turns clockwise, the hand perhaps not. Of a quick job nobody said which way it runs. */
export const turnStatement = ({ turning, cam }: Engine, asItRuns = false): string =>
  (asItRuns
    ? t('stage-words.turn-the-way-it-runs')
    : turning.direction === 'clockwise'
      ? t('stage-words.turn-clockwise-seen-from-as', { seenFrom: turning.seenFrom })
      : t('stage-words.turn-counterclockwise-seen-from-drawn', { seenFrom: turning.seenFrom })) +
  (cam === null ? ` ${t('stage-words.arcs-assumed')}` : '')

/** Which line is the right one, and which must not be taken for it. */
export function marksStatement({ marks }: Engine, markIndex: number): string {
  const right = marks[markIndex]
  if (!right) return t('stage-words.no-top-mark-soft-rod')
  const before = marks
    .filter(m => m.kind === 'fire')
    .map(m => ({ ...m, ahead: wrap(right.angleDeg - m.angleDeg, 360) }))
    .sort((a, b) => a.ahead - b.ahead)[0]
  return before && before.ahead < 60
    ? t('stage-words.the-line-beside-comes-before', {
        letter: right.letter,
        shape: shapeOf(right),
        before: before.letter,
        ahead: Math.round(before.ahead),
      })
    : t('stage-words.the-line-beside-on-both', { letter: right.letter, shape: shapeOf(right) })
}
