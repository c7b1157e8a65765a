import type { Engine } from '~~/core/engine'
import type { JobView } from '~~/core/job'
import { dropWords } from '~~/core/job'
import type { Stop } from '~~/core/stops'

export interface Statement { title: string, words: string }

/** Where the crank may be, for the corner of the wheel. */
export function placeStatement({ position }: JobView): Statement {
  const { arcs, standing, peakDeg } = position
  const first = arcs[0]
  if (!first || first.sweepDeg > 700) return { title: 'Anywhere', words: 'Nothing was seen of the crank yet' }
  const deg = (d: number) => `${Math.round(d)}°`
  if (standing.kind === 'settled') return { title: `Settled at ${deg(peakDeg)}`, words: first.name }
  const likely = arcs.filter(a => a.probability > 0.02)
  if (likely.length === 1) return { title: deg(peakDeg), words: standing.kind === 'elsewhere' ? `${first.name}: known, but not the stop` : first.name }
  return { title: `${deg(likely[0]!.peakDeg)} or ${deg(likely[1]!.peakDeg)}`, words: `${likely.length === 2 ? 'Two' : likely.length} places fit what was seen` }
}

const spareOf = (stop: Stop): number => Math.floor(Math.min(...stop.valves.map(v => Math.min(v.beforeDeg, v.afterDeg))))

/** The stop and how exact it must be met; nothing is promised while the cam is assumed or a decompressor possible. */
export function stopStatement(engine: Engine, stop: Stop | undefined, pastTop: boolean): Statement {
  if (!stop) return { title: 'No stop', words: 'No place serves the valves of this engine' }
  const where = `Stop at ${Math.round(stop.crankDeg)}°`
  if (pastTop && stop.place.kind === 'rod-drop') return { title: where, words: `Past top, decompressor off: rod ${dropWords(stop.place.dropMm)} down` }
  if (engine.cam === null || engine.decompressor.kind === 'unknown') return { title: where, words: 'Both valves shut; cam assumed, so meet it well' }
  return { title: where, words: `Both valves shut, ${spareOf(stop)}° to spare: a finger’s width changes nothing` }
}

/** How to turn: the drawing turns clockwise, the hand perhaps not. */
export const turnStatement = ({ turning, cam }: Engine): string =>
  (turning.direction === 'clockwise' ? `Turn clockwise seen from ${turning.seenFrom}, as drawn.` : `Turn anticlockwise seen from ${turning.seenFrom}; drawn from the other side.`) + (cam === null ? ' Closed arcs assumed.' : '')

/** Which line is the right one, and which must not be taken for it. */
export function marksStatement({ marks }: Engine): string {
  const top = marks.find(m => m.kind === 'top')
  const fire = marks.find(m => m.kind === 'fire')
  if (!top) return 'No T mark: soft rod, wood or plastic, never steel'
  return fire ? `${top.letter} is top. ${fire.letter} fires ${Math.round(360 - fire.angleDeg)}° before it: do not stop there` : `The line beside ${top.letter} is top, on both strokes`
}
