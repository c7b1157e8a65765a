import type { Clearance, Engine } from '../../core/engine'
import { doubtsOf } from '../../core/spec-book'
import type { RevisionRow } from '../../shared/spec-book'
import { HEDGEROW } from './models/singles'
import { DUET } from './models/twins'

interface DemoRevision {
  daysAgo: number
  by: string
  approved: boolean
  reason: string
  engine: Engine
}

const limits = (minMm: number, maxMm: number, text: string, unit: 'mm' | 'in' = 'mm'): Clearance => ({
  form: 'limits',
  minMm,
  maxMm,
  text,
  unit,
})

const duet = DUET.engine
/** Models of the demo that have more than one revision: what was believed before, and what waits to be approved. */
export const SPEC_HISTORY = new Map<object, DemoRevision[]>([
  [
    DUET,
    [
      {
        daysAgo: 1790,
        by: 'tam',
        approved: true,
        reason: 'First entry',
        engine: {
          ...duet,
          source: 'Vossel workshop manual D405, 1st printing, p. 2-11',
          sourceDate: '2021-02-18',
          clearance: { ...duet.clearance, exhaust: limits(0.06, 0.1, '0.06–0.10') },
          torques: { ...duet.torques, plugNm: 15 },
        },
      },
      {
        daysAgo: 470,
        by: 'jory',
        approved: true,
        reason: 'Bulletin raises the exhaust',
        engine: {
          ...duet,
          source: 'Vossel bulletin D-12',
          sourceDate: '2023-03-30',
          torques: { ...duet.torques, plugNm: 15 },
        },
      },
      {
        daysAgo: 390,
        by: 'tam',
        approved: true,
        reason: 'Second printing: plug torque',
        engine: { ...duet, alsoPrinted: { intake: null, exhaust: limits(0.1067, 0.1499, '.0042–.0059', 'in') } },
      },
    ],
  ],
  [
    HEDGEROW,
    [
      { daysAgo: 900, by: 'tam', approved: true, reason: 'First entry', engine: HEDGEROW.engine },
      {
        daysAgo: 1,
        by: 'jory',
        approved: false,
        reason: 'Exhausts come back tight within a season',
        engine: {
          ...HEDGEROW.engine,
          source: 'Grisdel service letter H-31',
          sourceDate: '2026-11-09',
          clearance: { ...HEDGEROW.engine.clearance, exhaust: limits(0.18, 0.23, '0.18–0.23') },
          torques: { ...HEDGEROW.engine.torques, locknutNm: 9 },
          coverPattern: 'crosswise, twice',
        },
      },
    ],
  ],
])

/** What the author of a revision answered about its odd figures: all of them, as printed. */
export const answersTo = (engine: Engine): RevisionRow['answered'] =>
  doubtsOf(engine).map(({ id, says }) => ({ id, says }))
