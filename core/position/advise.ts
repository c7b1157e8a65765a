import { type Place, topPlace } from '../stops'
import { segments } from './fold'
import type { Position } from './locate'
import type { PositionModel } from './model'
import type { Noted, Observation } from './observation'

/** Drop at which a decompressor has let go, to feel again. About the ¼ in of one maker's rule: common practice. */
const CLEAR_OF_DECOMPRESSOR_MM = 6
/** So many moves without settling, and the intake is watched instead: it tells the stroke whatever the valves feel like. */
const MOVES_BEFORE_WATCHING = 4

/** The one next thing to do with the crank, as a whole move. The words for it belong to the screen's language, not here. */
export type Advice
  = | { kind: 'settled' }
    | { kind: 'feel', valveIds: string[], why: 'which stroke' | 'decompressor or clearance' }
    | { kind: 'move', to: Place, turns: 1 | null, turnDeg: number | null, why: 'start' | 'neither has play' | 'one has play' | 'stop is elsewhere' | 'try the other top' }
    | { kind: 'watch', cylinderId: string, to: Place, why: 'no play anywhere' | 'still open' }

type Felt = 'unfelt' | 'slack' | 'no play' | 'one of each'

const samePlace = (a: Place | null, b: Place): boolean => a !== null && JSON.stringify(a) === JSON.stringify(b)
const endOf = (move: Observation | undefined): Place | null => move && (move.kind === 'move' || move.kind === 'turns' || move.kind === 'watched') ? move.to : null

/** A crank place as the table looks at it: where the crank came to rest, how, and what both rockers felt like there. */
interface Visit { place: Place | null, move: Observation['kind'] | null, felt: Felt, unfelt: string[] }

function visits(model: PositionModel, noted: Noted[]): Visit[] {
  return segments(noted).map(({ move, answers }) => {
    const seen = answers.map(a => a.observation).find(o => o.kind === 'seen')
    const plays = model.engine.valves.map((valve) => {
      // a refused blade is no feel of the rocker: a gap thinner than the blade still clicks
      const o = answers.map(a => a.observation).find(a => (a.kind === 'rocker' || (a.kind === 'blade' && a.went)) && a.valveId === valve.id)
      return { id: valve.id, slack: o?.kind === 'rocker' ? o.slack : o?.kind === 'blade' ? o.went : null }
    })
    const unfelt = plays.filter(p => p.slack === null).map(p => p.id)
    const felt: Felt = unfelt.length ? 'unfelt' : plays.every(p => p.slack) ? 'slack' : plays.some(p => p.slack) ? 'one of each' : 'no play'
    return { place: seen?.kind === 'seen' ? seen.place : endOf(move?.observation), move: move?.observation.kind ?? null, felt, unfelt }
  })
}

/**
 * The next whole move or feel for a one-cylinder engine, by the table that mechanics would agree on.
 *
 * One slack and one without play at the top has three causes: the other stroke, a decompressor, a valve without clearance.
 * Unless the model is known to have no decompressor, it is excluded first, by feeling again past top; taking a decompressor
 * for a valve without clearance gets its screw backed off far too loose.
 */
export function adviseNext(model: PositionModel, position: Position, noted: Noted[]): Advice {
  if (position.standing.kind === 'settled') return { kind: 'settled' }
  const cylinderId = model.engine.cylinders[0]!.id
  const top = topPlace(model.engine, cylinderId)
  const drop: Place = { kind: 'rod-drop', cylinderId, dropMm: CLEAR_OF_DECOMPRESSOR_MM }
  if (position.standing.kind === 'elsewhere') {
    const { stop, turns, turnDeg } = position.standing
    return { kind: 'move', to: stop.place, turns, turnDeg, why: 'stop is elsewhere' }
  }
  const all = visits(model, noted)
  const here = all.at(-1)!
  const before = all.at(-2)
  const watch = (why: 'no play anywhere' | 'still open'): Advice => ({ kind: 'watch', cylinderId, to: top, why })
  if (here.place === null) return { kind: 'move', to: top, turns: null, turnDeg: null, why: 'start' }
  if (here.felt === 'unfelt') return { kind: 'feel', valveIds: here.unfelt, why: samePlace(here.place, top) ? 'which stroke' : 'decompressor or clearance' }
  const sinceWatch = all.length - 1 - Math.max(all.findLastIndex(v => v.move === 'watched' || v.move === 'lost'), 0)
  if (sinceWatch >= MOVES_BEFORE_WATCHING) return watch('still open')
  const onTop = samePlace(here.place, top)
  if (!onTop) return { kind: 'move', to: top, turns: null, turnDeg: null, why: 'try the other top' }
  if (here.felt === 'one of each' && model.engine.decompressor.kind !== 'none') return { kind: 'move', to: drop, turns: null, turnDeg: null, why: 'one has play' }
  if (here.felt === 'no play' && here.move === 'turns' && before?.felt === 'no play' && samePlace(before.place, top)) return watch('no play anywhere')
  if (here.move === 'turns' && before && before.felt !== 'unfelt') return watch('still open')
  return { kind: 'move', to: top, turns: 1, turnDeg: 360, why: here.felt === 'no play' ? 'neither has play' : 'one has play' }
}
