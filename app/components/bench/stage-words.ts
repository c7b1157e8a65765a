import { cylinderById, type Engine, wrap } from '~~/core/engine'
import { dropWords, type JobView, listed, marginOf } from '~~/core/job'
import type { Stop } from '~~/core/stops'

export interface Statement {
  title: string
  words: string
}

/** Where the crank may be, for the corner of the wheel. */
export function placeStatement({ position }: JobView): Statement {
  const { arcs, standing, peakDeg } = position
  const first = arcs[0]
  if (!first || first.sweepDeg > 700) return { title: 'Anywhere', words: 'Nothing was seen of the crank yet' }
  const deg = (d: number) => `${Math.round(d)}°`
  if (standing.kind === 'settled') return { title: `Settled at ${deg(peakDeg)}`, words: first.name }
  const likely = arcs.filter(a => a.probability > 0.02)
  if (likely.length === 1)
    return {
      title: deg(peakDeg),
      words: standing.kind === 'elsewhere' ? `${first.name}: known, but not the stop` : first.name,
    }
  return {
    title: `${deg(likely[0]!.peakDeg)} or ${deg(likely[1]!.peakDeg)}`,
    words: `${likely.length === 2 ? 'Two' : likely.length} places fit what was seen`,
  }
}

/** “Both left valves”, “All four valves”, “Left exhaust and right intake”: what a stop serves. */
function servedWords(engine: Engine, stop: Stop): string {
  const served = engine.valves.filter(v => stop.valves.some(s => s.valveId === v.id))
  const cylinders = [...new Set(served.map(v => v.cylinderId))]
  const own = engine.valves.filter(v => v.cylinderId === cylinders[0])
  if (cylinders.length === 1 && served.length === own.length && own.length > 1) {
    const whose = engine.cylinders.length > 1 ? `${cylinderById(engine, cylinders[0]!).name.toLowerCase()} ` : ''
    return `${own.length === 2 ? 'Both' : `All ${own.length}`} ${whose}valves`
  }
  const whole = cylinders.filter(id => engine.valves.filter(v => v.cylinderId === id).every(v => served.includes(v)))
  const words = listed([
    ...whole.map(id => `${own.length === 2 ? 'both' : 'all'} ${cylinderById(engine, id).name.toLowerCase()}`),
    ...served.filter(v => !whole.includes(v.cylinderId)).map(v => v.name.toLowerCase()),
  ])
  return words.charAt(0).toUpperCase() + words.slice(1)
}

/** What is to spare at a stop, or why nothing is promised. */
function spareWords(engine: Engine, stop: Stop): string {
  const margin = marginOf(engine, stop)
  if (!margin) return engine.cam === null ? 'Cam assumed: meet it well' : 'A decompressor is possible: meet it well'
  const { beforeDeg, afterDeg, easy } = margin
  return easy
    ? `${Math.min(beforeDeg, afterDeg)}° spare each way`
    : `${beforeDeg}° spare short of it, ${afterDeg}° past it`
}

/** The stop and how exact it must be met; nothing is promised while the cam is assumed or a decompressor possible. */
export function stopStatement({ pin, model }: JobView, stop: Stop | null): Statement {
  if (!stop) return { title: 'No stop', words: 'No place serves the valves of this engine' }
  const { engine } = pin.spec
  const which = model.plan.stops.length > 1 ? ` ${model.plan.stops.indexOf(stop) + 1}` : ''
  const where = `Stop${which} at ${Math.round(stop.crankDeg)}°`
  if (stop.place.kind === 'rod-drop')
    return { title: where, words: `Past top: rod ${dropWords(stop.place.dropMm)} down` }
  return { title: where, words: `${servedWords(engine, stop)} shut. ${spareWords(engine, stop)}` }
}

/** How to turn: the drawing turns clockwise, the hand perhaps not. */
export const turnStatement = ({ turning, cam }: Engine): string =>
  (turning.direction === 'clockwise'
    ? `Turn clockwise seen from ${turning.seenFrom}, as drawn.`
    : `Turn counterclockwise seen from ${turning.seenFrom}; drawn from the other side.`) +
  (cam === null ? ' Closed arcs assumed.' : '')

/** Which line is the right one, and which must not be taken for it. */
export function marksStatement({ marks }: Engine, markIndex: number): string {
  const right = marks[markIndex]
  if (!right) return 'No top mark: soft rod, wood or plastic, never steel'
  const before = marks
    .filter(m => m.kind === 'fire')
    .map(m => ({ ...m, ahead: wrap(right.angleDeg - m.angleDeg, 360) }))
    .sort((a, b) => a.ahead - b.ahead)[0]
  return before && before.ahead < 60
    ? `The line beside ${right.letter}. ${before.letter} comes ${Math.round(before.ahead)}° before it: do not stop there`
    : `The line beside ${right.letter}, on both strokes`
}
