import type { Heads } from './heads'
import type { Engine, Valve } from './parts'

/** A head as it stands at the machine, in a plan of 420 by 400. */
export interface HeadBox {
  name: string
  /** Its middle, how long and wide it is, and how far its cylinder leans from upright, clockwise. */
  x: number
  y: number
  width: number
  height: number
  leanDeg: number
}
export interface MappedValve {
  valveId: string
  role: Valve['role']
  /** Short and never alike: the maker’s sign, or cylinder and role: “1I”, “2Eb”. */
  sign: string
  name: string
  x: number
  y: number
  r: number
}
export interface HeadMap {
  heads: HeadBox[]
  /** The middle of each combustion chamber, with its plug. */
  chambers: { cylinderId: string; name: string; x: number; y: number; r: number }[]
  valves: MappedValve[]
  /** The crank between two banks; null where it lies under the one head. */
  crank: { x: number; y: number } | null
  /** Where muffler and carburetor are said to be: at the edges, or between the heads; where all heads agree on it. */
  sides: Partial<Record<MapSide, Valve['role']>> | null
}
export type MapSide = 'top' | 'bottom' | 'left' | 'right' | 'between'

/** The map’s own units, near the pixels that it takes at the bench. */
export const MAP_WIDTH = 420
export const MAP_HEIGHT = 400
const MIDDLE = { x: MAP_WIDTH / 2, y: 202 }

/** The short signs of an engine’s valves, by id: no two are alike. */
export function valveSigns(engine: Pick<Engine, 'cylinders' | 'valves'>): Record<string, string> {
  return Object.fromEntries(
    engine.valves.map(valve => {
      if (valve.sign) return [valve.id, valve.sign]
      const alike = engine.valves.filter(v => v.cylinderId === valve.cylinderId && v.role === valve.role)
      const letter = valve.role === 'intake' ? 'I' : 'E'
      const nth = alike.length > 1 ? 'abcd'[alike.indexOf(valve)]! : ''
      const cylinder = engine.cylinders.findIndex(c => c.id === valve.cylinderId) + 1
      return [valve.id, `${engine.cylinders.length > 1 ? cylinder : ''}${letter}${nth}`]
    }),
  )
}

interface Frame {
  x: number
  y: number
  /** Along the row of cylinders, and toward the intakes: unit vectors of the picture. */
  row: [number, number]
  in: [number, number]
}
const at = ({ x, y, row, in: toward }: Frame, along: number, across: number) => ({
  x: x + row[0] * along + toward[0] * across,
  y: y + row[1] * along + toward[1] * across,
})
const turned = (deg: number): { up: [number, number]; right: [number, number] } => {
  const rad = (deg * Math.PI) / 180
  return { up: [Math.sin(rad), -Math.cos(rad)], right: [Math.cos(rad), Math.sin(rad)] }
}

/** How far the middle of a head is from the crank where heads lean. */
const REACH = 178
/** How low the crank of a V is drawn. */
const V_CRANK_Y = 372
/** A cylinder’s share of its head. */
const SHARE = { one: 190, bank: 142 }

/** The frame of each bank and its box. */
function framesOf(heads: Heads): { frame: Frame; box: Omit<HeadBox, 'name'>; pitch: number }[] {
  const count = Math.max(...heads.banks.map(b => b.cylinderIds.length))
  if (heads.layout === 'V' && count === 1)
    return heads.banks.map((_, i) => {
      const lean = ((i === 0 ? -1 : 1) * (heads.angleDeg ?? 90)) / 2
      const { up, right } = turned(lean)
      const x = MIDDLE.x + up[0] * REACH
      const y = V_CRANK_Y + up[1] * REACH
      // toward the inside of the V, or away from it
      const inside = (i === 0 ? 1 : -1) * (heads.intakeSide === 'between' ? 1 : -1)
      const frame: Frame = { x, y, row: up, in: [right[0] * inside, right[1] * inside] }
      return { frame, box: { x, y, width: 128, height: 120, leanDeg: lean }, pitch: 120 }
    })
  // two banks of several cylinders: each seen from its own side
  if (heads.layout === 'flat' || heads.layout === 'V')
    return heads.banks.map((_, i) => {
      const x = MIDDLE.x + (i === 0 ? -1 : 1) * 112
      const frame: Frame = {
        x,
        y: MIDDLE.y,
        row: [i === 0 ? -1 : 1, 0],
        in: [0, heads.intakeSide === 'rear' ? 1 : -1],
      }
      const width = count > 1 ? 196 : 150
      return { frame, box: { x, y: MIDDLE.y, width, height: 210, leanDeg: i === 0 ? -90 : 90 }, pitch: 94 }
    })
  const across = heads.layout === 'transverse'
  const toward: Record<string, [number, number]> = { rear: [0, 1], front: [0, -1], left: [-1, 0], right: [1, 0] }
  const row: [number, number] = across ? [1, 0] : [0, 1]
  const given = toward[heads.intakeSide] ?? [0, 0]
  // toward a side that the row has; where the model says another, the rear or the right
  const isAcross = given[0] * row[0] + given[1] * row[1] === 0 && given.some(x => x !== 0)
  const inward: [number, number] = isAcross ? given : across ? [0, 1] : [1, 0]
  const pitch = count > 2 ? 92 : SHARE.bank
  const long = Math.max(SHARE.one, pitch * count)
  return [
    {
      frame: { ...MIDDLE, row, in: inward },
      box: { ...MIDDLE, width: across ? long : 220, height: across ? 230 : long, leanDeg: 0 },
      pitch,
    },
  ]
}

/** An engine’s heads where they are, with its valves, each under a sign that no other has; dragged ones as dragged. */
export function headMap(engine: Engine): HeadMap {
  const map = asDrawn(engine)
  const valves = map.valves.map(valve => {
    const { offset } = engine.valves.find(v => v.id === valve.valveId)!
    return offset ? { ...valve, ...inside(valve, { x: valve.x + offset.x, y: valve.y + offset.y }) } : valve
  })
  return { ...map, valves }
}
/** A place at which the whole of a valve is on the plan. */
const inside = ({ r }: Pick<MappedValve, 'r'>, { x, y }: { x: number; y: number }) => ({
  x: Math.min(MAP_WIDTH - r, Math.max(r, Math.round(x))),
  y: Math.min(MAP_HEIGHT - r, Math.max(r, Math.round(y))),
})

/**
 * An engine's valves with one of them dragged to a place of the plan. Where it is dropped on another, the two trade
 * places.
 */
export function dragValve(engine: Engine, valveId: string, to: { x: number; y: number }): Engine['valves'] {
  const now = headMap(engine).valves
  const drawn = asDrawn(engine).valves
  const dragged = now.find(v => v.valveId === valveId)
  if (!dragged) return engine.valves
  const under = now.find(v => v.valveId !== valveId && Math.hypot(v.x - to.x, v.y - to.y) < v.r)
  const places = new Map([[valveId, inside(dragged, under ?? to)]])
  if (under) places.set(under.valveId, inside(under, dragged))
  return engine.valves.map(valve => {
    const place = places.get(valve.id)
    if (!place) return valve
    const home = drawn.find(v => v.valveId === valve.id)!
    return { ...valve, offset: { x: Math.round(place.x - home.x), y: Math.round(place.y - home.y) } }
  })
}

/** The plan as the layout alone would have it. */
function asDrawn(engine: Engine): HeadMap {
  const signs = valveSigns(engine)
  const { heads } = engine
  if (!heads) return oneHead(engine, signs)
  const banks = heads.banks.length > 1 ? heads.banks : [{ name: '', cylinderIds: engine.cylinders.map(c => c.id) }]
  const frames = framesOf({ ...heads, banks })
  const map: HeadMap = { heads: [], chambers: [], valves: [], crank: null, sides: null }
  banks.forEach((bank, b) => {
    const { frame, box, pitch } = frames[b] ?? frames[0]!
    map.heads.push({ name: bank.name, ...box })
    bank.cylinderIds.forEach((id, i) => {
      const along = (i - (bank.cylinderIds.length - 1) / 2) * pitch
      const own = engine.valves.filter(v => v.cylinderId === id)
      const r = pitch < 100 ? 42 : 54
      const across = box.width < 140 ? 36 : 56
      map.chambers.push({
        cylinderId: id,
        name: engine.cylinders.find(c => c.id === id)?.name ?? id,
        ...at(frame, along, 0),
        r,
      })
      for (const valve of own) {
        const alike = own.filter(v => v.role === valve.role)
        const spread = alike.length > 1 ? (alike.indexOf(valve) - (alike.length - 1) / 2) * 46 : 0
        map.valves.push({
          valveId: valve.id,
          role: valve.role,
          sign: signs[valve.id]!,
          name: valve.name,
          ...at(frame, along + spread, valve.role === 'intake' ? across : -across),
          r: (valve.role === 'intake' ? 30 : 26) * (alike.length > 1 ? 0.74 : 1),
        })
      }
    })
  })
  return {
    ...map,
    crank:
      heads.layout === 'V' && frames.every(f => f.box.leanDeg % 90 !== 0)
        ? { x: MIDDLE.x, y: V_CRANK_Y }
        : banks.length > 1
          ? { ...MIDDLE }
          : null,
    sides: sidesOf(
      heads,
      frames.map(f => f.frame.in),
    ),
  }
}
/** On which edges intakes and exhausts are, where all heads have them on the same; in a V, what is between them. */
function sidesOf({ layout, intakeSide }: Heads, inward: Frame['in'][]): HeadMap['sides'] {
  const [[x, y] = [0, 0]] = inward
  if (inward.every(way => way[0] === x && way[1] === y)) {
    if (x === 0) return y > 0 ? { top: 'exhaust', bottom: 'intake' } : { top: 'intake', bottom: 'exhaust' }
    if (y === 0) return x < 0 ? { left: 'intake', right: 'exhaust' } : { left: 'exhaust', right: 'intake' }
  }
  return layout === 'V' ? { between: intakeSide === 'between' ? 'intake' : 'exhaust' } : null
}

/** One head from above, its valves where the model has them. */
function oneHead(engine: Engine, signs: Record<string, string>): HeadMap {
  const [width, height] = [240, 280]
  const size = engine.valves.length > 4 ? 0.62 : engine.valves.length > 2 ? 0.92 : 1
  const x = (share: number) => MIDDLE.x - width / 2 + share * width
  const y = (share: number) => MIDDLE.y - height / 2 + share * height
  const several = engine.cylinders.length > 1
  return {
    heads: [{ name: '', ...MIDDLE, width, height, leanDeg: 0 }],
    chambers: engine.cylinders.map(({ id, name }) => {
      const own = engine.valves.filter(v => v.cylinderId === id)
      const middle = own.reduce((sum, v) => sum + x(v.headX), 0) / own.length
      return several
        ? { cylinderId: id, name, x: middle, y: MIDDLE.y, r: Math.min(112, 108 / engine.cylinders.length) }
        : { cylinderId: id, name, x: MIDDLE.x, y: MIDDLE.y, r: 112 }
    }),
    valves: engine.valves.map(v => ({
      valveId: v.id,
      role: v.role,
      sign: signs[v.id]!,
      name: v.name,
      x: x(v.headX),
      y: y(v.headY),
      r: (v.role === 'intake' ? 46 : 39) * size,
    })),
    crank: null,
    sides: { top: 'exhaust', bottom: 'intake' },
  }
}
