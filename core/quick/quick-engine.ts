import { adjusterSchema, clearanceSchema, type Engine, FIRING_INTERVALS } from '../engine'
import { emptySpec } from '../spec-book/spec-fields'
import { readSpec } from '../spec-book/spec-form'
import { z } from '../zod'

/** Engines as they are told by a picture: by their cylinders and how these follow one another. */
export const QUICK_ENGINES = ['single', 'twin-360', 'twin-180', 'twin-270'] as const
export type QuickEngine = (typeof QUICK_ENGINES)[number]
const FIRING_OF: Record<QuickEngine, (typeof FIRING_INTERVALS)[number]> = {
  'single': FIRING_INTERVALS[0],
  'twin-360': FIRING_INTERVALS[1],
  'twin-180': FIRING_INTERVALS[2],
  'twin-270': FIRING_INTERVALS[3],
}
/** What the source says of where to measure, as far as a tap can tell it. */
export const QUICK_PLACES = ['not said', 'top'] as const

/** All that a quick job is told before it begins. The rest is assumed, and marked so. */
export const quickSchema = z.object({
  engine: z.enum(QUICK_ENGINES),
  /** Of each cylinder. */
  valves: z.union([z.literal(2), z.literal(4)]),
  /** The figures as they were said. */
  text: z.string().trim().min(1).max(60),
  clearance: z.object({ intake: clearanceSchema, exhaust: clearanceSchema }),
  adjuster: adjusterSchema.shape.kind,
  /** Whether a T line can be seen. */
  mark: z.boolean(),
  measuredAt: z.enum(QUICK_PLACES),
})
export type Quick = z.infer<typeof quickSchema>

/** What is assumed of an engine that was only told quickly, by name. */
export const QUICK_ASSUMED = ['cam', 'decompressor', 'direction', 'pitch', 'stroke', 'cold'] as const
export type QuickAssumed = (typeof QUICK_ASSUMED)[number]

/**
 * The engine data of a quick job: what was told, and usual figures for what was not (`QUICK_ASSUMED`).
 * @param source whose word it is, and on which day, as the sheet is to say it
 * @throws Error where the parts do not make an engine: the schema has let through what it should not
 */
export function quickEngine(quick: Quick, source: { words: string; date: string }): Engine {
  const anglesDeg: readonly number[] = FIRING_OF[quick.engine]
  const names = anglesDeg.length === 1 ? ['Cylinder'] : ['Left', 'Right']
  // a T line stands at the pointer at each top of its cylinder: where two tops are a turn apart one line serves both
  const lines = [...new Set(anglesDeg.map(deg => deg % 360))]
  const { engine, wrong } = readSpec({
    ...emptySpec(),
    source: source.words,
    sourceDate: source.date,
    unit: quick.clearance.intake.unit,
    intake: quick.clearance.intake.text,
    exhaust: quick.clearance.exhaust.text,
    cylinders: anglesDeg.map((deg, i) => `${names[i]} ${deg}`).join(', '),
    valves: String(quick.valves),
    layout: quick.adjuster === 'valve-end' ? 'overhead cam' : 'push-rods',
    adjuster: quick.adjuster,
    head: quick.adjuster === 'pivot-nut' ? 'hex socket' : 'slot',
    measuredAt: quick.measuredAt,
    marks: quick.mark ? lines.map(deg => `T ${deg}`).join(', ') : '',
    markWindow: quick.mark ? 'the pointer' : '',
  })
  if (!engine) throw new Error(`a quick engine is none: ${JSON.stringify(wrong)}`)
  return engine
}
