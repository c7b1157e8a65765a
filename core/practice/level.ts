import { decompressorPrior } from '../engine'
import type { BladeSet } from '../feeler'
import { leavesOf, limitsOf } from '../feeler'
import { BLADE_OFF_MM, drawEngine, type Drawn, practicePin } from './draw'
import type { PracticeEngine } from './engines'
import { between, oneOf, type Random, randomOf } from './random'
import { type Setup, virtualEngine } from './virtual-engine'

export const LEVELS = [1, 2, 3, 4] as const
export type Level = (typeof LEVELS)[number]
export const GUIDANCES = ['on', 'on demand', 'off'] as const
export type Guidance = (typeof GUIDANCES)[number]
export const DRILLS = ['find'] as const
export type Drill = (typeof DRILLS)[number]

/** How hard a practice engine is: what is hidden, what lies, and how the Bench helps unless it is told otherwise. */
export interface LevelRules {
  level: Level
  guidance: Guidance
  zones: boolean
  open: boolean
  window: boolean
  rod: boolean
}

export const LEVEL_RULES: readonly LevelRules[] = [
  {
    level: 1,
    guidance: 'on',
    zones: true,
    open: true,
    window: true,
    rod: true,
  },
  {
    level: 2,
    guidance: 'on demand',
    zones: false,
    open: false,
    window: true,
    rod: false,
  },
  {
    level: 3,
    guidance: 'on demand',
    zones: false,
    open: false,
    window: false,
    rod: true,
  },
  {
    level: 4,
    guidance: 'off',
    zones: false,
    open: false,
    window: true,
    rod: true,
  },
]
/** What is hidden and how much help there is on a level. */
export const rulesOf = (level: Level): LevelRules => LEVEL_RULES[level - 1]!

/** What a run is begun with; the same gives the same engine. `robot` takes the engine of a robot’s seed as it is. */
export interface PracticeStart {
  /** Only a part of the work: to find compression TDC, on a head that is cold. The whole where it is not told. */
  drill?: Drill
  kind: PracticeEngine
  level: Level
  seed: number
  guidance: Guidance
  robot?: boolean
}

const WARM_C = { from: 44, to: 58 }
const NEAR_WRONG_TOP_DEG = { from: 200, to: 330 }

/** A gap of so much inside, under or over the limits, mm. */
const inside = (random: Random, { minMm, maxMm }: { minMm: number; maxMm: number }): number =>
  between(random, minMm + 0.005, maxMm)

function gaps({ kind: { engine }, level }: PracticeStart, random: Random): Record<string, number> {
  const out = oneOf(random, engine.valves).id
  const other = oneOf(random, engine.valves).id
  return Object.fromEntries(
    engine.valves.map(({ id, role }) => {
      const limits = limitsOf(engine.clearance[role]) ?? { minMm: 0.1, maxMm: 0.14 }
      if (id === out)
        return [
          id,
          level === 3
            ? between(random, -0.02, 0)
            : random() < 0.6
              ? limits.minMm - between(random, 0.03, 0.05)
              : limits.maxMm + between(random, 0.04, 0.09),
        ]
      return [id, level > 1 && id === other ? limits.maxMm + between(random, 0.04, 0.09) : inside(random, limits)]
    }),
  )
}

function setupFor(start: PracticeStart, random: Random, set: BladeSet): Setup {
  const {
    kind: { engine },
    level,
    drill,
  } = start
  const lies = level === 4
  const known = engine.decompressor.kind === 'arc'
  const held =
    engine.decompressor.kind === 'unknown' && level >= 3 && random() < Math.max(0.5, decompressorPrior(engine))
  return {
    crankDeg: level === 2 ? between(random, NEAR_WRONG_TOP_DEG.from, NEAR_WRONG_TOP_DEG.to) : between(random, 0, 720),
    gapMm: gaps(start, random),
    ...(known ? {} : { held: held ? ([-120, 10] as const) : null }),
    ...(lies && !drill ? { headC: between(random, WARM_C.from, WARM_C.to) } : {}),
    nature: {
      creepMm: level === 1 ? 0 : between(random, -0.022, -0.006),
      creepScatterMm: lies ? 0.008 : 0,
      chainSlackDeg: lies ? 10 : 4,
      bladeOffMm: lies
        ? Object.fromEntries(
            leavesOf(set).map(l => [String(l.engravedMm), between(random, -BLADE_OFF_MM, BLADE_OFF_MM)]),
          )
        : {},
    },
  }
}

/** The hidden engine of a practice run. */
export function drawPractice(start: PracticeStart): Drawn {
  if (start.robot) return drawEngine(start.seed, start.kind.id)
  const random = randomOf(start.seed * 7919 + start.level)
  const pin = practicePin(start.kind)
  return {
    seed: start.seed,
    kind: start.kind,
    pin,
    virtual: virtualEngine(start.kind.engine, setupFor(start, random, pin.bladeSet)),
    random,
  }
}
