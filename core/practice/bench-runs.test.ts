import { describe, expect, it } from 'vitest'
import { playByBench } from '../../tests/support/practice-hand'
import { leastAnswers, markRun, PRACTICE_ENGINES } from './index'

describe('a practice run done by the Bench', () => {
  it.each(PRACTICE_ENGINES.filter(k => k.id !== 'shimmed'))(
    '$id: has every valve in spec, full marks and the least answers',
    kind => {
      const start = { kind, level: 1, seed: 3, guidance: 'on' } as const
      const { acts } = playByBench(start)
      const marked = markRun(start, acts)
      expect(marked.marks.filter(m => m.grade !== 'right')).toEqual([])
      expect(marked.score).toBe(100)
      expect(marked.valves.every(v => v.inSpec)).toBe(true)
      expect(marked.stages.map(s => s.moves)).toEqual(Object.values(leastAnswers(start)))
    },
  )
})
