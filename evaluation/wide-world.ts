import { type Clearance, type Engine, engineSchema, type Role, withDecompressor } from '../core/engine'
import { type BladeSet, bladeSetSchema, countedAsIn, leavesOf, TARGET_SCHOOLS } from '../core/feeler'
import {
  between,
  type Drawn,
  headValves,
  type Held,
  inventedEngine,
  oneOf,
  practicePin,
  type Random,
  randomOf,
  virtualEngine,
} from '../core/practice'
import { planStops, schoolsFor } from '../core/stops'
import { snapMm } from '../core/units'

/** A drawn engine of the wider world, with what is out of the ordinary about it. */
export interface WideDrawn extends Drawn {
  features: string[]
  hand: { reachDeg: number; dragMm: number; pinchMm: number; clicksFromMm: number; turnsBackShare: number }
}

/** A bell, from two even draws. */
const bell = (random: Random, sigma: number): number =>
  sigma * Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
const THOU_MM = 0.0254
const thou = (...list: number[]) => list.map(t => Math.round(t * 254) / 10_000)

/** Drawers as they are found: fine, coarse, gapped, inches only, worn. */
const DRAWERS: Record<string, { unit: 'mm' | 'thou'; mm: number[]; worn?: number[] }> = {
  'fine mm': {
    unit: 'mm',
    mm: [0.03, 0.04, 0.05, 0.06, 0.07, 0.08, 0.09, 0.1, 0.11, 0.12, 0.13, 0.14, 0.15, 0.16, 0.18, 0.2, 0.25, 0.3],
  },
  'usual mm': { unit: 'mm', mm: [0.05, 0.08, 0.1, 0.13, 0.15, 0.18, 0.2, 0.23, 0.25, 0.28, 0.3, 0.4] },
  'coarse mm': { unit: 'mm', mm: [0.05, 0.1, 0.15, 0.2, 0.25, 0.3, 0.4, 0.5] },
  'gapped mm': { unit: 'mm', mm: [0.04, 0.06, 0.1, 0.2, 0.3] },
  'fine thou': { unit: 'thou', mm: thou(1, 1.5, 2, 2.5, 3, 4, 5, 6, 7, 8, 9, 10, 12) },
  'whole thou': { unit: 'thou', mm: thou(2, 3, 4, 5, 6, 7, 8, 9, 10, 12, 15) },
  'even thou': { unit: 'thou', mm: thou(2, 4, 6, 8, 10, 12) },
  'worn mm': {
    unit: 'mm',
    mm: [0.04, 0.05, 0.08, 0.1, 0.13, 0.15, 0.18, 0.2, 0.25, 0.3],
    worn: [0.1, 0.15],
  },
}
const setsKnown = new Map<string, BladeSet>()
function drawer(name: string): BladeSet {
  const { unit, mm, worn = [] } = DRAWERS[name]!
  const known = setsKnown.get(name)
  const set =
    known ??
    bladeSetSchema.parse({
      name,
      unit,
      blades: mm.map(size => ({
        mm: size,
        measuredMm: null,
        condition: worn.includes(size) ? 'worn' : 'good',
        stepMm: null,
      })),
    })
  setsKnown.set(name, set)
  return set
}

/**
 * A figure as sources print them: limits wide or narrow, a figure and its tolerance, a bare figure in mm or in thou.
 */
function drawClearance(random: Random, role: Role, features: string[]): Clearance {
  const aboutMm = between(random, role === 'intake' ? 0.06 : 0.1, role === 'intake' ? 0.2 : 0.28)
  const hundredth = (mm: number) => Math.round(mm * 100) / 100
  const kind = random()
  if (kind < 0.35) {
    const minMm = hundredth(aboutMm)
    return limits(minMm, hundredth(minMm + between(random, 0.04, 0.07)))
  }
  if (kind < 0.5) {
    features.push('limits narrower than the steps')
    const minMm = hundredth(aboutMm)
    return limits(minMm, snapMm(minMm + between(random, 0.01, 0.025)))
  }
  if (kind < 0.6) {
    const figureMm = hundredth(aboutMm)
    return { form: 'tolerance', figureMm, toleranceMm: 0.02, text: `${figureMm} ±0.02`, unit: 'mm' }
  }
  features.push('bare figure')
  const figureMm = random() < 0.4 ? snapMm(Math.max(2, Math.round(aboutMm / THOU_MM)) * THOU_MM) : hundredth(aboutMm)
  return { form: 'bare', figureMm, text: String(figureMm), unit: 'mm' }
}
const limits = (minMm: number, maxMm: number): Clearance => ({
  form: 'limits',
  minMm,
  maxMm,
  text: `${minMm}–${maxMm}`,
  unit: 'mm',
})

const PUSH_RODS = {
  layout: 'push-rods',
  adjuster: { kind: 'pushrod-end', pitchMm: 0.75, pitchAssumed: false, rockerRatio: 1.3, head: 'slot' },
} as const
const PIVOT = {
  layout: 'push-rods',
  adjuster: { kind: 'pivot-nut', pitchMm: 1, pitchAssumed: true, rockerRatio: 1.2, head: 'hex socket' },
} as const

type Cylinders = { id: string; name: string; firingAngleDeg: number }[]

/** Valves of cylinders: two each, or three, four, five. */
function valvesFor(cylinders: Cylinders, intakes: number, exhausts: number) {
  return cylinders.flatMap((c, i) =>
    headValves(
      c.id,
      cylinders.length > 1 ? c.name : '',
      (i + 0.5) / cylinders.length,
      Math.max(intakes, exhausts),
    )!.filter(v => {
      const n = Number(/\d+$/.exec(v.id)?.[0] ?? 1)
      return n <= (v.role === 'intake' ? intakes : exhausts)
    }),
  )
}

function drawLayout(random: Random, features: string[]): { cylinders: Cylinders; about: string } {
  const roll = random()
  const pair = (laterDeg: number, about: string, names = ['Left', 'Right']) => ({
    about,
    cylinders: [
      { id: 'a', name: names[0]!, firingAngleDeg: 0 },
      { id: 'b', name: names[1]!, firingAngleDeg: laterDeg },
    ],
  })
  if (roll < 0.3) return { cylinders: [{ id: 'only', name: 'Cylinder', firingAngleDeg: 0 }], about: 'single' }
  if (roll < 0.45) return pair(360, '360° twin')
  if (roll < 0.57) return pair(180, '180° twin')
  if (roll < 0.65) return pair(270, '270° twin')
  if (roll < 0.73) return pair(360, 'flat twin')
  if (roll < 0.9) {
    const angle = Math.round(between(random, 40, 100))
    features.push('V of any angle')
    return pair(random() < 0.5 ? 360 + angle : 360 - angle, `${angle}° V-twin`, ['Front', 'Rear'])
  }
  const order = random() < 0.5 ? [1, 3, 4, 2] : [1, 3, 2, 4]
  return {
    about: order[2] === 4 ? 'four in line' : 'flat four',
    cylinders: [1, 2, 3, 4].map(n => ({
      id: `c${n}`,
      name: `Cylinder ${n}`,
      firingAngleDeg: order.indexOf(n) * 180,
    })),
  }
}

/** One top mark a crank angle at which a piston is up, and a fire mark near the first. */
function marksFor(cylinders: Cylinders) {
  const tops = [...new Set(cylinders.map(c => c.firingAngleDeg % 360))]
  return [
    ...tops.map((angleDeg, i) => ({ letter: tops.length > 1 ? `T${i + 1}` : 'T', angleDeg, kind: 'top' as const })),
    { letter: 'F', angleDeg: 346, kind: 'fire' as const },
  ]
}

/** By kind, for the drawing. From memory. */
const WORLD = {
  noMarks: 0.12,
  camAssumed: 0.35,
  decompressorNone: 0.4,
  decompressorUnknown: 0.45,
  deniedThere: 0.1,
  unrecordedThere: 0.4,
  wrongMakersList: 0.08,
  makersList: 0.2,
  spinning: 0.02,
}

function drawEngineData(random: Random, features: string[]): { engine: Engine; about: string } {
  const { cylinders, about } = drawLayout(random, features)
  const single = cylinders.length === 1
  const [intakes, exhausts] = single
    ? oneOf(random, [
        [1, 1],
        [1, 1],
        [1, 1],
        [2, 1],
        [2, 2],
        [3, 2],
      ] as const)
    : [1, 1]
  if (intakes > 1) features.push('three to five valves')
  const roll = random()
  const decompressor =
    roll < WORLD.decompressorNone
      ? ({ kind: 'none' } as const)
      : roll < WORLD.decompressorNone + WORLD.decompressorUnknown
        ? ({ kind: 'unknown' } as const)
        : ({ kind: 'arc', role: 'exhaust', fromDeg: -120, toDeg: 10 } as const)
  features.push(`decompressor ${decompressor.kind === 'arc' ? 'on record' : decompressor.kind}`)
  const noMarks = random() < WORLD.noMarks
  if (noMarks) features.push('no marks')
  const camAssumed = random() < WORLD.camAssumed
  if (camAssumed) features.push('cam assumed')
  const valves = valvesFor(cylinders, intakes, exhausts)
  const base = inventedEngine({
    ...oneOf(random, [{}, PUSH_RODS, PIVOT]),
    cylinders,
    valves,
    marks: noMarks ? [] : marksFor(cylinders),
    ...(noMarks ? { markWindow: '' } : {}),
    ...(camAssumed ? { cam: null, rodMm: null } : {}),
    decompressor,
    clearance: {
      intake: drawClearance(random, 'intake', features),
      exhaust: drawClearance(random, 'exhaust', features),
    },
  })
  return { engine: noMarks ? base : withMakersList(random, base, features), about }
}

/** Now and then a maker's own list, and now and then a wrong one: two valves changed over. */
function withMakersList(random: Random, base: Engine, features: string[]): Engine {
  if (random() >= WORLD.makersList) return base
  const { stops } = planStops(base.decompressor.kind === 'unknown' ? withDecompressor(base, 'there') : base, 'marks')
  const lists = stops.map(s => s.valves.map(v => v.valveId))
  if (random() < WORLD.wrongMakersList / WORLD.makersList && lists.length > 1) {
    features.push('wrong maker’s list')
    const [a, b] = [lists[0]![0]!, lists[1]![0]!]
    lists[0] = lists[0]!.map(id => (id === a ? b : id))
    lists[1] = lists[1]!.map(id => (id === b ? a : id))
  } else features.push('maker’s list')
  return engineSchema.parse({
    ...base,
    makersStops: stops.map((stop, i) => ({ crankDeg: stop.crankDeg, place: stop.place, valveIds: lists[i] })),
  })
}

/** What the source itself denies: no rule can know it before a second place has told. */
export const SOURCE_DENIES = 'record or list denies a decompressor that is there'

/** What is really there: as on record, or drawn where the record says nothing, or against what it says. */
function drawHeld(random: Random, engine: Engine, features: string[]): Held | null {
  const { decompressor } = engine
  const there =
    decompressor.kind === 'arc' || random() < (decompressor.kind === 'none' ? WORLD.deniedThere : WORLD.unrecordedThere)
  if (!there) return null
  if (decompressor.kind === 'none') features.push('decompressor denied, and there')
  if (decompressor.kind === 'unknown') features.push('decompressor unrecorded, and there')
  // a maker’s own list is believed: where it names a place at which one holds, the source itself denies it
  if (decompressor.kind === 'none' || (decompressor.kind === 'unknown' && engine.makersStops.length > 0))
    features.push(SOURCE_DENIES)
  return {
    role: 'exhaust',
    cylinderId: null,
    fromDeg: -120 + between(random, -10, 10),
    toDeg: 10 + between(random, -6, 6),
    liftMm: between(random, 0.1, 0.8),
  }
}

/**
 * An engine of the wider world by seed: everything the usual drawing leaves out. The same seed gives the same engine.
 */
export function drawWide(seed: number): WideDrawn {
  const random = randomOf(seed + 1_000_003)
  const features: string[] = []
  const { engine, about } = drawEngineData(random, features)
  features.unshift(about.includes('V-twin') ? 'V-twin' : about)
  const drawerName = oneOf(random, Object.keys(DRAWERS))
  const set = drawer(drawerName)
  features.push(`drawer: ${drawerName}`)
  const other = random() < 0.3 ? drawer(oneOf(random, ['fine mm', 'fine thou'])) : null
  const nipMoves = random() < 0.4
  const backlashDeg = random() < 0.3 ? between(random, 2, 10) : 0
  if (nipMoves) features.push('moves at the nip')
  if (backlashDeg) features.push('play in the thread')
  const school = oneOf(random, schoolsFor(engine))
  features.push(`school: ${school}`)
  const spinning = random() < WORLD.spinning ? [oneOf(random, engine.valves).id] : []
  if (spinning.length) features.push('a stud that spins')
  const held = drawHeld(random, engine, features)
  const hand = drawHand(random, features)
  const camOff = engine.cam ? 3 : 10
  const virtual = virtualEngine(engine, {
    crankDeg: between(random, 0, 720),
    gapMm: Object.fromEntries(engine.valves.map(v => [v.id, drawGap(random, engine.clearance[v.role], set)])),
    held,
    camLateDeg: { intake: between(random, -camOff, camOff), exhaust: between(random, -camOff, camOff) },
    nature: {
      creepMm: bell(random, 0.018) - 0.008,
      creepScatterMm: between(random, 0, 0.016),
      nipMm: nipMoves ? bell(random, 0.02) - 0.008 : 0,
      nipScatterMm: nipMoves ? between(random, 0, 0.016) : 0,
      backlashDeg,
      spinning,
      chainSlackDeg: between(random, 2, 12),
      bladeOffMm: Object.fromEntries(
        [set, ...(other ? [other] : [])].flatMap(s =>
          leavesOf(s).map(l => [
            String(l.engravedMm),
            l.condition === 'worn' ? between(random, -0.02, 0) : between(random, -0.004, 0.004),
          ]),
        ),
      ),
    },
  })
  return {
    seed,
    kind: { id: features[0]!, name: 'Drawn wide', about, engine },
    pin: {
      ...practicePin({ id: 'wide', name: 'Drawn wide', about, engine }, set),
      otherSets: other && other !== set ? [other] : [],
      pairToProve: random() < 0.1,
      target: oneOf(random, TARGET_SCHOOLS),
      unit: set.unit,
      school,
    },
    virtual,
    random,
    features,
    hand,
  }
}

function drawHand(random: Random, features: string[]): WideDrawn['hand'] {
  const odd = random()
  if (odd < 0.12) features.push('sloppy hand')
  else if (odd < 0.24) features.push('wide bands')
  else if (odd < 0.36) features.push('sticky rockers')
  else if (odd < 0.46) features.push('turns back unsaid')
  return {
    reachDeg: odd < 0.12 ? 8 : between(random, 1, 3),
    dragMm: odd >= 0.12 && odd < 0.24 ? between(random, 0.006, 0.03) : 0.015,
    pinchMm: odd >= 0.12 && odd < 0.24 ? between(random, 0.003, 0.02) : 0.01,
    clicksFromMm: odd >= 0.24 && odd < 0.36 ? between(random, 0.02, 0.06) : 0.012,
    turnsBackShare: odd >= 0.36 && odd < 0.46 ? 0.15 : 0,
  }
}

/** A gap as engines come in: in spec, worn, loose, or none at all. mm */
function drawGap(random: Random, clearance: Clearance, set: BladeSet): number {
  const { minMm, maxMm } = countedAsIn(clearance, set)
  const roll = random()
  if (roll < 0.06) return between(random, -0.05, 0)
  if (roll < 0.45) return between(random, minMm, maxMm)
  return roll < 0.9 ? between(random, 0.015, 0.35) : between(random, 0.35, 0.6)
}
