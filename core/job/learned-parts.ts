import { type Part, type PartKind, plainPart } from '../access'
import type { Engine } from '../engine'
import type { JobState } from './job-state'
import type { JobPin } from './pin'
import { partNamed } from './strip-down'

/** What a job teaches of its model: what came off, in order, and what it took to put it back. */
export interface LearnedParts {
  jobNumber: number
  date: string
  parts: Part[]
}

/** Words by which a part that somebody named is most likely of a kind; the first that fits. English and Spanish. */
const KINDS: readonly [RegExp, PartKind][] = [
  [/lead|plug cap|cable de (la )?buj|capuch/i, 'plug lead'],
  [/spark ?plug|^plug\b|buj[ií]a/i, 'spark plug'],
  [/timing|window plug|marcas/i, 'timing plug'],
  [/crank cap|tap[oó]n del cig/i, 'crank cap'],
  [/belt|correa/i, 'belt cover'],
  [/tank|tanque|dep[oó]sito/i, 'tank'],
  [/hose|pipe|duct|manguera|tubo/i, 'hose'],
  [/connector|conector/i, 'connector'],
  [/screw cap|\bcap\b|tap[oó]n/i, 'screw cap'],
  [/panel|seat|shroud|cowl|fairing|hood|asiento|carenado|cap[oó]/i, 'panel'],
  [/cover|tapa/i, 'cover'],
]
const kindNamed = (name: string): PartKind => KINDS.find(([words]) => words.test(name))?.[1] ?? 'other'

/**
 * The list of parts that a model without one can take from a job: each that came off, in its order, with the torque it
 * was tightened to and the gasket that went on it. Null where the model has a list, or nothing was told.
 */
export function learnedParts(
  { spec: { engine }, number, openedAt }: Pick<JobPin, 'spec' | 'number' | 'openedAt'>,
  { cameOff, torqued, gaskets }: Pick<JobState, 'cameOff' | 'torqued' | 'gaskets'>,
): LearnedParts | null {
  if (engine.parts || cameOff.length === 0) return null
  const parts = cameOff.map((name): Part => {
    const known = partNamed(engine, name)
    const part = known.kind === 'other' ? { ...plainPart(name, kindNamed(name)), torqueNm: known.torqueNm } : known
    const gasket = gaskets[name]
    return {
      ...part,
      cylinderId: ofOneCylinder(engine, part.kind),
      torqueNm: torqued[name]?.torqueNm ?? part.torqueNm,
      seal: gasket
        ? {
            kind: gasket.choice === 'compound' ? 'compound' : 'gasket',
            on: '',
            skinMinutes: null,
            clean: true,
            oiled: false,
          }
        : part.seal,
    }
  })
  return { jobNumber: number, date: openedAt.slice(0, 10), parts }
}
/** On a single a lead and a plug belong to its one cylinder; on others nobody said to which. */
const ofOneCylinder = ({ cylinders }: Engine, kind: PartKind): string | null =>
  cylinders.length === 1 && (kind === 'plug lead' || kind === 'spark plug') ? cylinders[0]!.id : null
