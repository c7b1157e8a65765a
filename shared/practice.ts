import {
  actSchema,
  type Drill,
  DRILLS,
  type Guidance,
  GUIDANCES,
  type Level,
  LEVELS,
  type Slip,
} from '../core/practice'
import { wrong } from '../core/wrong'
import { z } from '../core/zod'

/** A practice engine is one of the built-in ones by its name, or a model of the shop's spec book. */
const engineId = z.string().regex(/^[a-z0-9-]{1,40}$/, { error: wrong('wrong.this-practice-engine-is-not') })

/** Each answer is judged anew when a run is marked. */
const MOST_ANSWERS = 400

/** A run that is handed over: what it was begun with, and all that was done. The server marks it. */
export const practiceRunSchema = z.object({
  engineId,
  level: z.literal([...LEVELS], { error: wrong('wrong.a-level-is-1-to') }),
  seed: z.number().int().min(1).max(4_000_000_000),
  guidance: z.enum(GUIDANCES),
  robot: z.boolean().default(false),
  drill: z.enum(DRILLS).nullable().default(null),
  seconds: z
    .number()
    .int()
    .min(0)
    .max(86_400, { error: wrong('wrong.a-run-of-more-than') }),
  acts: z
    .array(actSchema)
    .max(3000, { error: wrong('wrong.more-than-3-000-things') })
    .refine(acts => acts.filter(a => a.kind === 'said').length <= MOST_ANSWERS, {
      error: wrong('wrong.run-answers', { most: MOST_ANSWERS }),
    }),
})
export type PracticeRunRequest = z.infer<typeof practiceRunSchema>

/** The best that somebody has done with an engine at a level, whole or as a drill: most points, then least time. */
export interface BestRun {
  engineId: string
  level: Level
  drill: Drill | null
  personId: number
  person: string
  score: number
  seconds: number
  guidance: Guidance
  at: string
}
/** A run as it counts over time. `slips` is what went wrong in it, each kind once; null where nobody kept that. */
export interface RunOverTime extends Omit<BestRun, 'guidance'> {
  id: number
  slips: Slip[] | null
}
export interface PracticeResponse {
  best: BestRun[]
  /** Latest last: one’s own, and for a lead the crew’s. */
  runs: RunOverTime[]
}
