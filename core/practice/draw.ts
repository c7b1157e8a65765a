import { decompressorPrior } from '../engine'
import { type BladeSet, bladeSetSchema, leavesOf, limitsOf, USUAL_HAND } from '../feeler'
import { type JobPin, JUDGEMENT_VERSION } from '../job'
import { PRACTICE_ENGINES, type PracticeEngine } from './engines'
import { between, oneOf, type Random, randomOf } from './random'
import { type Held, type VirtualEngine, virtualEngine } from './virtual-engine'

/** Blade sets that a hand may hold, one engraved in mm and one in thou. */
const SETS: readonly BladeSet[] = [
  bladeSetSchema.parse({
    name: 'Practice, mm',
    unit: 'mm',
    bladesMm: [0.03, 0.04, 0.05, 0.06, 0.07, 0.08, 0.09, 0.1, 0.11, 0.12, 0.13, 0.14, 0.15, 0.16, 0.18, 0.2, 0.25, 0.3],
  }),
  bladeSetSchema.parse({
    name: 'Practice, thou',
    unit: 'thou',
    bladesMm: [1, 1.5, 2, 2.5, 3, 4, 5, 6, 7, 8, 9, 10, 12].map(thou => Math.round(thou * 254) / 10_000),
  }),
]

/** What a practice job is judged against. */
export const practicePin = ({ name, engine }: PracticeEngine, bladeSet: BladeSet = SETS[0]!): JobPin => ({
  jobId: 0,
  number: 0,
  judgementVersion: JUDGEMENT_VERSION,
  machine: { id: 0, name, tag: '', owner: '', meterUnit: 'h', meter: null, lastMeter: null },
  modelName: name,
  modelId: null,
  spec: { revisionId: 0, revision: 1, status: 'approved', engine },
  bladeSet,
  otherSets: [],
  wrenches: [],
  adapters: [],
  shimStockMm: [],
  locks: [],
  target: 'middle',
  bladeHabit: 'out at torque',
  pairToProve: false,
  hand: USUAL_HAND,
  unit: 'mm',
  school: null,
  decompressor: null,
  past: null,
  quick: null,
  complaint: '',
  complaints: [],
  toDo: [],
  plugsNew: {},
  openedAt: '',
  openedBy: '',
  lastAsLeft: null,
})

/** One drawn engine: its kind, its pin (the same object for all of a kind and set) and what is hidden. */
export interface Drawn {
  seed: number
  kind: PracticeEngine
  pin: JobPin
  virtual: VirtualEngine
  random: Random
}

/** How engines are, for the drawing. From memory. */
const ZERO_SHARE = 0.06
const LEFT_ALONE_SHARE = 0.5
/** A cam is ground or its chain sits so far off its data, where there are data; and where there are none. */
const CAM_OFF_DEG = { known: 2, assumed: 6 }
const CREEP_MM = { from: -0.03, to: 0.012 }
const CREEP_SCATTER_MM = 0.008
/** A blade may be off by up to this: within the error that its verdicts allow. */
export const BLADE_OFF_MM = 0.004

const pins = new Map<string, JobPin>()
function pinFor(kind: PracticeEngine, set: BladeSet): JobPin {
  const key = `${kind.id}|${set.name}`
  if (!pins.has(key)) pins.set(key, practicePin(kind, set))
  return pins.get(key)!
}

/** A gap as engines come in: in spec, worn tight, loose, or none at all. mm. */
function gapOf(random: Random, minMm: number, maxMm: number): number {
  if (random() < ZERO_SHARE) return between(random, -0.03, 0)
  if (random() < LEFT_ALONE_SHARE) return between(random, minMm, maxMm)
  return between(random, 0.015, 0.3)
}

/** The decompressor that this engine really has: as its data say, or where they say nothing, drawn. */
function heldOf(random: Random, { engine }: PracticeEngine): Held | null {
  const { decompressor } = engine
  if (decompressor.kind === 'none' || random() >= decompressorPrior(engine)) return null
  return {
    role: 'exhaust',
    cylinderId: null,
    fromDeg: -120 + between(random, -5, 5),
    toDeg: 10 + between(random, -4, 4),
    liftMm: between(random, 0.1, 0.6),
  }
}

/**
 * An engine drawn by seed: one of the layouts, the crank anywhere, gaps in and out of spec, locks that creep and
 * scatter, blades off their engraving, a cam a little off its data. The same seed gives the same engine.
 * @param kindId draws one of this kind only
 */
export function drawEngine(seed: number, kindId?: string): Drawn {
  const random = randomOf(seed)
  const drawn = oneOf(random, PRACTICE_ENGINES)
  const kind = PRACTICE_ENGINES.find(k => k.id === kindId) ?? drawn
  const { engine } = kind
  const set = SETS[random() < 0.7 ? 0 : 1]!
  const off = engine.cam ? CAM_OFF_DEG.known : CAM_OFF_DEG.assumed
  const virtual = virtualEngine(engine, {
    crankDeg: between(random, 0, 720),
    gapMm: Object.fromEntries(
      engine.valves.map(v => {
        const limits = limitsOf(engine.clearance[v.role]) ?? { minMm: 0.1, maxMm: 0.14 }
        return [v.id, gapOf(random, limits.minMm, limits.maxMm)]
      }),
    ),
    held: heldOf(random, kind),
    camLateDeg: { intake: between(random, -off, off), exhaust: between(random, -off, off) },
    nature: {
      creepMm: between(random, CREEP_MM.from, CREEP_MM.to),
      creepScatterMm: CREEP_SCATTER_MM,
      chainSlackDeg: between(random, 2, 12),
      bladeOffMm: Object.fromEntries(
        leavesOf(set).map(l => [String(l.engravedMm), between(random, -BLADE_OFF_MM, BLADE_OFF_MM)]),
      ),
    },
  })
  return { seed, kind, pin: pinFor(kind, set), virtual, random }
}
