import { describe, expect, it } from 'vitest'
import { engineOf } from '../../../tests/support/builders'
import { found, said, trial } from '../../../tests/support/job-book'
import { tellEnglish } from '../../../words'
import { gapEffect } from '../../engine'
import type { LiftStretch, SheetLift } from './content'
import { worstLift } from './lift'
import { endsOf, liftPaths } from './lift-paths'

const engine = engineOf()
/** As found: the intake in, the exhaust refused by the first blade and let in by the second. */
const lift = (...exhaust: ReturnType<typeof trial>[]): SheetLift | null => {
  const book = found(said()).say(trial('intake', 0.1, 'drag'), ...exhaust)
  return worstLift(book.view(), tellEnglish)
}
const wide = lift(trial('exhaust', 0.3, 'drag'))!
/** Where a curve leaves its seat, by a reading of the drawn points alone. */
const leaves = (lifts: readonly number[], { fromDeg }: LiftStretch): number =>
  fromDeg + 2 * lifts.findIndex(mm => mm > 0.001)

describe('the lift curve of the worst valve', () => {
  it('is of the valve that was farthest out, and of none where all were in', () => {
    expect(wide).toMatchObject({ name: 'Exhaust', camKnown: false })
    expect(lift(trial('exhaust', 0.12, 'drag'))).toBeNull()
    expect(lift()).toBeNull()
  })
  it('a wide gap opens late: read back from the drawn points, as far as the law of lift says', () => {
    const drawn = leaves(wide.opens.found, wide.opens) - leaves(wide.opens.wanted, wide.opens)
    const law =
      gapEffect(engine, 'exhaust', wide.foundMm).opensDeg - gapEffect(engine, 'exhaust', wide.wantedMm).opensDeg
    expect(drawn).toBeGreaterThan(0)
    expect(Math.abs(drawn - law)).toBeLessThanOrEqual(2)
    expect(wide.words).toMatch(/^Opens \d+° late, closes \d+° early/)
  })
  it('a tight one the other way around', () => {
    const tight = lift(trial('exhaust', 0.05, 'no-go'), trial('exhaust', 0.04, 'drag'))!
    expect(leaves(tight.opens.found, tight.opens)).toBeLessThanOrEqual(leaves(tight.opens.wanted, tight.opens))
    expect(tight.words).toMatch(/early.*late/)
  })
  it('is drawn from its seat at the foot of the box, over the degrees that stand beneath', () => {
    const { wanted } = liftPaths(wide.opens, { width: 110, height: 50 })
    expect(wanted).toMatch(/^M 0 50 /)
    expect(wanted).toMatch(/L 110 0$/)
    expect(endsOf(wide.opens, wide)).toEqual([wide.opens.fromDeg, wide.opens.fromDeg + 44])
  })
})
