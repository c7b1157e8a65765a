import { expect, it } from 'vitest'
import { verdictOf } from './machine-list-words'

const visit = (inSpec: number, out: number, unknown: number) => ({
  day: '2026-03-01',
  jobId: 1,
  verdict: { in: inSpec, out, unknown },
})

it('a machine is well only where every valve was left in spec', () => {
  expect(verdictOf(visit(4, 0, 0))).toEqual({ words: 'In spec', well: true })
  expect(verdictOf(visit(3, 1, 0))).toEqual({ words: '1 of 4 out of spec', well: false })
  expect(verdictOf(visit(2, 0, 2))).toEqual({ words: '2 of 4 not proved', well: null })
})
it('one that is out is said before those that were not proved', () => {
  expect(verdictOf(visit(1, 1, 2)).words).toBe('1 of 4 out of spec')
})
it('what stands on paper is judged by nobody', () => {
  expect(verdictOf({ day: '2026-03-01', jobId: null, verdict: null })).toEqual({ words: 'On paper', well: null })
})
