import { describe, expect, it } from 'vitest'
import type { RunOverTime } from '~~/shared/practice'
import { peopleOf, progressOf, slipCounts } from './runs-over-time'

const run = (changes: Partial<RunOverTime>): RunOverTime => ({
  id: 1,
  engineId: 'single',
  level: 1,
  drill: null,
  personId: 1,
  person: 'Ada',
  score: 50,
  seconds: 100,
  at: '2026-11-28T10:00:00Z',
  slips: [],
  ...changes,
})

describe('practice over time', () => {
  it('names the mistakes by how many runs had them, and leaves out runs that kept none', () => {
    const runs = [
      run({ slips: ['mark.rocker', 'mark.turns'] }),
      run({ slips: ['mark.turns'] }),
      run({ slips: null }),
      run({ slips: ['mark.turns', 'mark.warm'] }),
    ]
    expect(slipCounts(runs, 2)).toEqual([
      { slip: 'mark.turns', runs: 3 },
      { slip: 'mark.rocker', runs: 1 },
    ])
    expect(slipCounts([], 3)).toEqual([])
  })
  it('tells progress by the middle of three, so that one lucky run is none', () => {
    const of = (...scores: number[]) => scores.map(score => run({ score }))
    expect(progressOf(of(40, 50, 60, 70, 80))).toBeNull()
    expect(progressOf(of(40, 50, 60, 52, 100, 48))).toEqual({ first: 50, last: 52 })
  })
  it('lists each person once, by name', () => {
    expect(peopleOf([run({ personId: 2, person: 'Zoe' }), run({}), run({ personId: 2, person: 'Zoe' })])).toEqual([
      { id: 1, name: 'Ada' },
      { id: 2, name: 'Zoe' },
    ])
  })
})
