import { type Place, placeAngle, placePeriod, samePlace, valveEvents, wrap } from '../engine'
import { topPlace, topPlaces } from '../stops'
import { type Advice, cylindersAt, unfeltOf, visits } from './advice'
import { observe } from './apply'
import type { Belief } from './belief'
import { CELL_DEG, cellOf, CELLS } from './grid'
import { locate, type Position, SETTLED_AT } from './locate'
import { type Pair, type PositionModel, SLACK_CHANCE } from './model'
import type { Noted } from './observation'
import { placeAfterWatch, wayToNext } from './places'
import { CLEAR_OF_DECOMPRESSOR_MM } from './table'

/**
 * Effort by common practice: a wiggle 1 a valve, a look 1, turning 1 and a share a turn, the rod 2, watching 3 besides
 * its turning.
 */
const EFFORT = { wiggle: 1, turn: 1, look: 1, rod: 2, watch: 3 }
/** What is still to come when the search looks no further: some moves more, fewer where a stop is nearly settled. */
const UNFINISHED = { least: 3, more: 4 }
/** A stop counts as closed only where it is so this far to both sides: what an arrival may miss by. */
const ARRIVAL_SPREAD_DEG = 4
/** The search looks at the crank in steps of 5°, and at nothing less likely than this: the advice is the same. */
const BIN_CELLS = 10
const NEGLIGIBLE = 1e-5
const WATCH_ERROR = 0.003
/** Past this chance of a decompressor a feel past top is worth looking at. */
const DECOMPRESSOR_POSSIBLE = 0.02
/** The same move so often since the last watch, and watching takes its place. */
const SAME_MOVE_MOST = 2

/** A thinned belief: single points, each a hypothesis at a cell with its chance. */
interface Points {
  hypothesis: Int16Array
  cell: Int16Array
  chance: Float64Array
}

type Action =
  | { kind: 'feel'; valves: number[] }
  | { kind: 'move'; to: Place; valves: number[] }
  | { kind: 'watch'; cylinderId: string; to: Place; valves: number[] }

interface Ground {
  model: PositionModel
  closed: Pair<Uint8Array>[]
  places: Place[]
}

function thinned(model: PositionModel, { mass }: Belief): Points {
  const points: [number, number, number][] = []
  for (let h = 0; h < model.hypotheses.length; h++) {
    for (let bin = 0; bin < CELLS; bin += BIN_CELLS) {
      let sum = 0
      let moment = 0
      for (let i = bin; i < bin + BIN_CELLS; i++) {
        sum += mass[h * CELLS + i]!
        moment += mass[h * CELLS + i]! * i
      }
      if (sum > NEGLIGIBLE) points.push([h, Math.round(moment / sum) % CELLS, sum])
    }
  }
  return pointsOf(points)
}

function pointsOf(all: [number, number, number][]): Points {
  const total = all.reduce((sum, p) => sum + p[2], 0)
  return {
    hypothesis: Int16Array.from(all, p => p[0]),
    cell: Int16Array.from(all, p => p[1]),
    chance: Float64Array.from(all, p => p[2] / total),
  }
}

/**
 * Where the points end after a movement, like ends of one hypothesis put together, and the degrees turned on average.
 */
function carried(
  { hypothesis, cell, chance }: Points,
  wayOf: (deg: number) => number,
): { points: Points; turnDeg: number } {
  const ends = new Map<number, [number, number, number]>()
  let turnDeg = 0
  for (let i = 0; i < cell.length; i++) {
    const from = cell[i]! * CELL_DEG
    const far = wayOf(from)
    turnDeg += far * chance[i]!
    const to = cellOf(from + far)
    const key = hypothesis[i]! * CELLS + to
    const there = ends.get(key)
    if (there) there[2] += chance[i]!
    else ends.set(key, [hypothesis[i]!, to, chance[i]!])
  }
  return { points: pointsOf([...ends.values()]), turnDeg }
}

/** The chance of slack at one valve for a point. */
const slackAt = (model: PositionModel, points: Points, i: number, valve: number): number => {
  const { noClearance, decompressor } = model.hypotheses[points.hypothesis[i]!]!
  return noClearance.includes(valve)
    ? SLACK_CHANCE.noClearance
    : model.slackChance[valve]![decompressor][points.cell[i]!]!
}

/** What feeling one or two valves may say: each outcome with its chance and the points it leaves. */
function feelOutcomes(model: PositionModel, points: Points, valves: number[]): { chance: number; points: Points }[] {
  const outcomes: { chance: number; points: Points }[] = []
  for (let said = 0; said < 2 ** valves.length; said++) {
    const weighed = Float64Array.from(points.chance)
    let chance = 0
    for (let i = 0; i < weighed.length; i++) {
      for (const [k, valve] of valves.entries()) {
        const slack = slackAt(model, points, i, valve)
        weighed[i]! *= said & (1 << k) ? slack : 1 - slack
      }
      chance += weighed[i]!
    }
    if (chance > NEGLIGIBLE) outcomes.push({ chance, points: { ...points, chance: weighed.map(v => v / chance) } })
  }
  return outcomes
}

function bestStop(
  { model, closed }: Ground,
  { hypothesis, cell, chance }: Points,
  wayOf?: (deg: number) => number,
): number {
  let best = 0
  for (const tables of closed) {
    let sum = 0
    for (let i = 0; i < cell.length; i++) {
      const at = wayOf ? cellOf(cell[i]! * CELL_DEG + wayOf(cell[i]! * CELL_DEG)) : cell[i]!
      if (tables[model.hypotheses[hypothesis[i]!]!.decompressor][at]) sum += chance[i]!
    }
    best = Math.max(best, sum)
  }
  return best
}

const wayTo = (ground: Ground, place: Place, times = 1) => {
  const [at, period] = [placeAngle(ground.model.engine, place), placePeriod(place)]
  return (deg: number) => wayToNext(at, deg, period, times)
}

/** Effort of going on to a stop that is known, or null where none is. */
function knownWay(ground: Ground, points: Points): number | null {
  let least: number | null = null
  for (const stop of ground.model.plan.stops)
    for (const times of [1, 2]) {
      const way = wayTo(ground, stop.place, times)
      if (bestStop(ground, points, way) < SETTLED_AT) continue
      const effort = EFFORT.turn + carried(points, way).turnDeg / 360
      if (least === null || effort < least) least = effort
    }
  return least
}

/** The valves that a feel of a cylinder means: one of each kind, both where there are two. */
const feltOn = ({ engine }: PositionModel, cylinderId: string): number[] =>
  (['intake', 'exhaust'] as const)
    .map(role => engine.valves.findIndex(v => v.cylinderId === cylinderId && v.role === role))
    .filter(i => i >= 0)

const rodEffort = (place: Place): number =>
  place.kind === 'rod-drop' || place.kind === 'piston-top' ? EFFORT.rod : EFFORT.look

function movesFrom({ model, places }: Ground): Action[] {
  const { engine } = model
  return [
    ...places.flatMap(to => engine.cylinders.map((c): Action => ({ kind: 'move', to, valves: feltOn(model, c.id) }))),
    ...engine.cylinders.map((c): Action => ({
      kind: 'watch',
      cylinderId: c.id,
      to: topPlace(engine, c.id),
      valves: [],
    })),
  ]
}

/** What an action costs and where it leads, before its feel is answered. */
function taken(ground: Ground, points: Points, action: Action): { effort: number; points: Points } {
  const wiggles = action.valves.length * EFFORT.wiggle
  if (action.kind === 'feel') return { effort: wiggles, points }
  if (action.kind === 'move') {
    const { points: there, turnDeg } = carried(points, wayTo(ground, action.to))
    return { effort: EFFORT.turn + turnDeg / 360 + rodEffort(action.to) + wiggles, points: there }
  }
  const { engine } = ground.model
  const firing = engine.cylinders.find(c => c.id === action.cylinderId)!.firingAngleDeg
  const [shuts, at, period] = [
    firing + valveEvents(engine, 'intake').closesDeg,
    placeAngle(engine, action.to),
    placePeriod(action.to),
  ]
  const end = placeAfterWatch(at, shuts, period)
  const sure = carried(points, deg => wrap(shuts - deg) + wrap(end - shuts))
  const wrong = carried(points, deg => wrap(end + 360 - deg))
  const both = [sure.points, wrong.points].flatMap((p, w) =>
    Array.from(p.chance, (chance, i): [number, number, number] => [
      p.hypothesis[i]!,
      p.cell[i]!,
      chance * (w ? WATCH_ERROR : 1 - WATCH_ERROR),
    ]),
  )
  return { effort: EFFORT.watch + EFFORT.turn + sure.turnDeg / 360, points: pointsOf(both) }
}

function expectedEffort(ground: Ground, points: Points, action: Action, depth: number): number {
  const { effort, points: there } = taken(ground, points, action)
  const outcomes = action.valves.length
    ? feelOutcomes(ground.model, there, action.valves)
    : [{ chance: 1, points: there }]
  return outcomes.reduce((sum, o) => sum + o.chance * effortToSettle(ground, o.points, depth - 1), effort)
}

function effortToSettle(ground: Ground, points: Points, depth: number): number {
  const here = bestStop(ground, points)
  if (here >= SETTLED_AT) return 0
  const known = knownWay(ground, points)
  if (known !== null) return known
  if (depth <= 0) return UNFINISHED.least + UNFINISHED.more * (1 - here)
  let least = Infinity
  for (const action of movesFrom(ground)) least = Math.min(least, expectedEffort(ground, points, action, depth))
  return least
}

/** Tables in which a stop is closed only where it is so over the whole spread of an arrival. */
const narrowed = (tables: Pair<Uint8Array>): Pair<Uint8Array> =>
  tables.map(table => {
    const spread = ARRIVAL_SPREAD_DEG / CELL_DEG
    return Uint8Array.from({ length: CELLS }, (_, i) =>
      table[(i + spread) % CELLS] && table[(i - spread + CELLS) % CELLS] ? table[i]! : 0,
    )
  }) as Pair<Uint8Array>

function groundOf(model: PositionModel, position: Position): Ground {
  const { engine, plan } = model
  const held = engine.decompressor.kind === 'arc' ? engine.decompressor.cylinderId : null
  const drops: Place[] =
    position.decompressor > DECOMPRESSOR_POSSIBLE
      ? engine.cylinders
          .filter(c => held === null || held === c.id)
          .map(c => ({ kind: 'rod-drop', cylinderId: c.id, dropMm: CLEAR_OF_DECOMPRESSOR_MM }))
      : []
  const all = [...topPlaces(engine), ...plan.stops.map(s => s.place), ...drops]
  return {
    model,
    closed: model.allClosed.map(narrowed),
    places: all.filter((p, i) => all.findIndex(o => samePlace(o, p)) === i),
  }
}

/** Whether a feel can settle anything on the full belief: the thinned one is too hopeful near the edges. */
function mayTell(model: PositionModel, position: Position, noted: Noted[], valves: number[]): boolean {
  const ids = valves.map(v => model.engine.valves[v]!.id)
  return [...Array(2 ** ids.length).keys()].some(said => {
    const answers = ids.map((valveId, k): Noted => ({
      id: `tried-${valveId}`,
      observation: { kind: 'rocker', valveId, slack: (said & (1 << k)) !== 0 },
    }))
    let { belief } = position
    for (const a of answers) belief = observe(model, belief, a.observation)
    return locate(model, [...noted, ...answers]).standing.kind !== 'open'
  })
}

const madeAlready = (noted: Noted[], to: Place): number => {
  const since = noted.findLastIndex(n => n.observation.kind === 'watched')
  return noted
    .slice(since + 1)
    .filter(({ observation: o }) => (o.kind === 'move' || o.kind === 'turns') && samePlace(o.to, to)).length
}

/** How many whole moves deep the search looks: fewer where many cylinders make many moves. */
const depthFor = (model: PositionModel): number => (model.engine.cylinders.length > 2 ? 1 : 2)

/**
 * The whole move or feel with the least expected effort until a stop is settled or known.
 * Not the greatest fall in entropy: that is negative for the right first move, and prefers wiggling again.
 * @returns never 'settled': asked only where nothing is settled or known Source: expectimax over whole moves on a
 *   thinned belief; efforts are common practice.
 */
export function adviseBySearch(model: PositionModel, position: Position, noted: Noted[]): Advice {
  const ground = groundOf(model, position)
  const points = thinned(model, position.belief)
  const here = visits(noted).at(-1)!
  const feels = model.engine.cylinders
    .map(c => unfeltOf(model.engine, c.id, here).map(id => model.engine.valves.findIndex(v => v.id === id)))
    .filter(valves => valves.length > 0)
    .map((valves): Action => ({ kind: 'feel', valves }))
  const ranked = [...feels, ...movesFrom(ground)]
    .map(action => ({ action, effort: expectedEffort(ground, points, action, depthFor(model)) }))
    .sort((a, b) => a.effort - b.effort)
  const chosen = ranked.find(
    ({ action }) => action.kind !== 'feel' || mayTell(model, position, noted, action.valves),
  )!.action
  const watch = ranked.find(({ action }) => action.kind === 'watch')!.action
  return adviceFor(
    model,
    chosen.kind === 'move' && madeAlready(noted, chosen.to) >= SAME_MOVE_MOST ? watch : chosen,
    here.place,
  )
}

function adviceFor(model: PositionModel, action: Action, here: Place | null): Advice {
  if (action.kind === 'watch') return { kind: 'watch', cylinderId: action.cylinderId, to: action.to, why: 'still open' }
  if (action.kind === 'feel')
    return { kind: 'feel', valveIds: action.valves.map(v => model.engine.valves[v]!.id), why: 'which stroke' }
  if (samePlace(action.to, here))
    return { kind: 'move', to: action.to, turns: 1, times: 1, turnDeg: 360, why: 'tells most' }
  return {
    kind: 'move',
    to: action.to,
    turns: null,
    times: 1,
    turnDeg: null,
    why: here === null && cylindersAt(model, action.to).length ? 'start' : 'tells most',
  }
}
