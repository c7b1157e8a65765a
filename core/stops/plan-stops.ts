import {
  angleForDrop,
  closedArcs,
  CYCLE_DEG,
  type Engine,
  firingAngle,
  forwardTo,
  pistonDrop,
  type Place,
  placeAngle,
  placePeriod,
  placeReach,
  spareInArc,
  wrap,
} from '../engine'
import { firstSchool, placesOfSchool, type School, topPlaces } from './school'

/** A valve may be measured at a stop that has this much to spare to every end of its closed arc. */
export const STOP_MARGIN_DEG = 10
/** At a maker's own stop this much is enough; less than the usual margin is remarked on. */
export const MAKERS_MARGIN_DEG = 5
/**
 * Drops past top that a mechanic can be asked for, the usual one first. 6 mm is about the ¼ in of one maker's rule:
 * common practice.
 */
export const PAST_TOP_DROPS_MM = [6, 8, 10, 12, 15, 20]

export interface Served {
  valveId: string
  beforeDeg: number
  afterDeg: number
}

/** A crank position with the valves that may be measured there, and what each has to spare before and after it. */
export interface Stop {
  crankDeg: number
  place: Place
  valves: Served[]
  /** Valves that the maker's list names here and the cam data says are not closed. */
  flagged: string[]
  /** The least that each of its valves must have to spare for the stop to be settled. */
  marginDeg: number
  /** Turn to the next stop of the plan in the running direction, round to the first again: (0, 720]. */
  turnToNextDeg: number
}
export interface StopPlan {
  school: School
  stops: Stop[]
  /** The school's own places do not serve every valve, so that positions past top were added. */
  pastTop: boolean
  /** Each cylinder is done at its own stops, also where one stop would serve valves of two. */
  byCylinder: boolean
  unserved: string[]
}

type Candidate = Omit<Stop, 'turnToNextDeg'>

type Arcs = ReturnType<typeof closedArcs>

/**
 * Which valves are closed at an angle with so much to spare, decompressor edges too, wherever within its reach the
 * place is met.
 */
function servedAt(
  engine: Engine,
  arcs: Arcs,
  crankDeg: number,
  marginDeg: number,
  reach = { beforeDeg: 0, afterDeg: 0 },
): Served[] {
  return engine.valves.flatMap(valve => {
    const spare = (arcs[valve.id] ?? [])
      .map(arc => spareInArc(arc, crankDeg))
      .find(s => s.beforeDeg >= marginDeg + reach.beforeDeg && s.afterDeg >= marginDeg + reach.afterDeg)
    return spare ? [{ valveId: valve.id, ...spare }] : []
  })
}

/** A cylinder's own stop lies at its compression top, or past it by less than this. Degrees */
const OWN_UNTIL_DEG = 130
const isOwn = (engine: Engine, valveId: string, crankDeg: number): boolean => {
  const valve = engine.valves.find(v => v.id === valveId)!
  return wrap(crankDeg - firingAngle(engine, valve.cylinderId) + STOP_MARGIN_DEG) <= OWN_UNTIL_DEG + STOP_MARGIN_DEG
}

/** Schools whose places are tops, so that each cylinder has its own. */
const BY_TOPS: ReadonlySet<School> = new Set(['marks', 'rod', 'watching'])
/**
 * Two cylinders that rise neither together nor turn about, as in a V, share closed arcs by little; where those arcs are
 * assumed, nothing but a cylinder's own top is sure.
 */
const oneAtATimeByDefault = ({ cylinders, cam }: Engine): boolean => {
  const [a, b] = cylinders
  return cylinders.length === 2 && cam === null && (b!.firingAngleDeg - a!.firingAngleDeg) % 180 !== 0
}

/** Whether each cylinder can be done at its own top by a school, so that it is a choice. */
export const canBeOneAtATime = ({ cylinders }: Engine, school: School): boolean =>
  cylinders.length > 1 && BY_TOPS.has(school)

/**
 * Each place at each of its angles of the cycle, with what it serves; those that serve nothing, or stand at an earlier
 * one's angle, are left out.
 */
function candidatesAt(engine: Engine, arcs: Arcs, places: Place[], byCylinder: boolean): Candidate[] {
  const all = places
    .flatMap(place =>
      (placePeriod(place) === CYCLE_DEG ? [0] : [0, 360]).map(turn => ({
        place,
        crankDeg: wrap(placeAngle(engine, place) + turn),
      })),
    )
    .map(({ place, crankDeg }) => ({
      place,
      crankDeg,
      valves: servedAt(engine, arcs, crankDeg, STOP_MARGIN_DEG, placeReach(engine, place)).filter(
        ({ valveId }) => !byCylinder || isOwn(engine, valveId, crankDeg),
      ),
      flagged: [],
      marginDeg: STOP_MARGIN_DEG,
    }))
    .filter(stop => stop.valves.length > 0)
  return all.filter((stop, i) => all.findIndex(other => Math.abs(other.crankDeg - stop.crankDeg) < 0.01) === i)
}

const leastMargin = (stops: Candidate[]): number =>
  Math.min(...stops.flatMap(s => s.valves.map(v => Math.min(v.beforeDeg, v.afterDeg))))

/** Turning from the first stop to the last when the plan is begun where that is least. */
function turning(stops: Candidate[]): number {
  const angles = stops.map(s => s.crankDeg).sort((a, b) => a - b)
  return (
    CYCLE_DEG - Math.max(...angles.map((angle, i) => forwardTo(angle, angles[(i + 1) % angles.length]!) || CYCLE_DEG))
  )
}

/** Whether one cover is better than another of as many stops: larger least margin, then less turning. */
function better(a: Candidate[], b: Candidate[] | null): boolean {
  if (!b) return true
  const margin = leastMargin(a) - leastMargin(b)
  return Math.abs(margin) > 1e-9 ? margin > 0 : turning(a) < turning(b) - 1e-9
}

/** Every choice of `count` of them, in order. */
function* choices<T>(all: T[], count: number, from = 0): Generator<T[]> {
  if (count === 0) yield []
  else
    for (let i = from; i <= all.length - count; i++)
      for (const rest of choices(all, count - 1, i + 1)) yield [all[i]!, ...rest]
}

/**
 * The best cover of all valves that these candidates can serve at all: fewest stops, then margin, then turning.
 * Exhaustive.
 */
function bestCover(engine: Engine, all: Candidate[]): Candidate[] {
  const bit = new Map(engine.valves.map((v, i) => [v.id, 1 << i]))
  const mask = (stop: Candidate) => stop.valves.reduce((m, v) => m | bit.get(v.valveId)!, 0)
  const masked = all.map(stop => ({ stop, mask: mask(stop) }))
  const whole = masked.reduce((m, c) => m | c.mask, 0)
  for (let count = 1; count <= engine.valves.length; count++) {
    let best: Candidate[] | null = null
    for (const chosen of choices(masked, count)) {
      if (chosen.reduce((m, c) => m | c.mask, 0) !== whole) continue
      const stops = chosen.map(c => c.stop)
      if (better(stops, best)) best = stops
    }
    if (best) return best
  }
  return []
}

/**
 * The least asked-for drop that clears the decompressor on all of a cylinder's valves, or on most where none clears
 * all.
 */
function pastTopPlace(engine: Engine, arcs: Arcs, cylinderId: string): Place[] {
  const own = new Set(engine.valves.filter(v => v.cylinderId === cylinderId).map(v => v.id))
  const serves = (dropMm: number) =>
    servedAt(
      engine,
      arcs,
      wrap(firingAngle(engine, cylinderId) + angleForDrop(engine, dropMm)),
      STOP_MARGIN_DEG,
    ).filter(v => own.has(v.valveId)).length
  const drops = PAST_TOP_DROPS_MM.filter(drop => drop < pistonDrop(engine, 90))
  const most = Math.max(0, ...drops.map(serves))
  const dropMm = most === 0 ? undefined : drops.find(drop => serves(drop) === most)
  return dropMm === undefined ? [] : [{ kind: 'rod-drop', cylinderId, dropMm }]
}

function makersCandidates(engine: Engine, arcs: Arcs): Candidate[] {
  return engine.makersStops.map(({ crankDeg, place, valveIds }) => {
    const valves = servedAt(engine, arcs, crankDeg, MAKERS_MARGIN_DEG).filter(v => valveIds.includes(v.valveId))
    return {
      crankDeg,
      place,
      valves,
      flagged: valveIds.filter(id => !valves.some(v => v.valveId === id)),
      marginDeg: MAKERS_MARGIN_DEG,
    }
  })
}

const idsServed = (stops: Candidate[]) => new Set(stops.flatMap(s => s.valves.map(v => v.valveId)))

/**
 * The fewest crank positions at which all valves can be measured, by a school.
 *
 * Least number of stops first, then the largest least margin, then the least turning; found by looking at every choice.
 * Where the school's own places cannot serve every valve (a decompressor holds one open there), positions past top are
 * added
 * as candidates and the whole is minimised again. A maker's own list is kept as it is printed; valves that it names and
 * that the cam data says are not closed there are flagged.
 * @param school default: the maker's list where there is one, else marks, else the piston's top
 * @param oneAtATime each cylinder at its own top instead of the fewest stops, where the school goes by tops; default:
 *   on a V whose
 *   timing is assumed
 * @returns stops in running order from 0°; `unserved` valves have no stop
 * Source: judgement over `closedArcs`; schools and the past-top rule are common practice.
 */
export function planStops(
  engine: Engine,
  school: School = firstSchool(engine, null),
  oneAtATime: boolean | null = null,
): StopPlan {
  const arcs = closedArcs(engine)
  const byCylinder = canBeOneAtATime(engine, school) && (oneAtATime ?? oneAtATimeByDefault(engine))
  let chosen: Candidate[]
  let pastTop = false
  if (school === 'maker') chosen = makersCandidates(engine, arcs)
  else {
    const own = placesOfSchool(engine, school)
    chosen = bestCover(engine, candidatesAt(engine, arcs, own, byCylinder))
    pastTop = idsServed(chosen).size < engine.valves.length
    if (pastTop)
      chosen = bestCover(
        engine,
        candidatesAt(
          engine,
          arcs,
          [
            ...own,
            ...(school === 'partner' ? topPlaces(engine) : []),
            ...engine.cylinders.flatMap(c => pastTopPlace(engine, arcs, c.id)),
          ],
          byCylinder,
        ),
      )
  }
  const ordered = [...chosen].sort((a, b) => a.crankDeg - b.crankDeg)
  const served = idsServed(chosen)
  return {
    school,
    pastTop,
    byCylinder,
    stops: ordered.map((stop, i) => ({
      ...stop,
      turnToNextDeg: forwardTo(stop.crankDeg, (ordered[i + 1] ?? ordered[0] ?? stop).crankDeg) || CYCLE_DEG,
    })),
    unserved: engine.valves.map(v => v.id).filter(id => !served.has(id)),
  }
}
