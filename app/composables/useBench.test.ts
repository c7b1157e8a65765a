import { describe, expect, it } from 'vitest'
import { LogBook } from '~~/tests/support/builders'
import { isoWithOffset } from '../local/outbox'
import { mergeEvents } from '../local/jobs'

describe('events from two sides', () => {
  it('come together once each, in the log’s order', () => {
    const log = new LogBook()
    for (let i = 0; i < 4; i++) log.add({ type: 'note', payload: { text: String(i) } })
    const [a, b, c, d] = log.events as [
      (typeof log.events)[0],
      (typeof log.events)[0],
      (typeof log.events)[0],
      (typeof log.events)[0],
    ]
    expect(mergeEvents([a, c], [d, b, c]).map(e => e.seq)).toEqual([1, 2, 3, 4])
  })
})

describe('times', () => {
  it('keep the moment, whatever the offset of the place', () => {
    const ms = Date.UTC(2026, 10, 25, 8, 30, 15, 250)
    const text = isoWithOffset(ms)
    expect(Date.parse(text)).toBe(ms)
    expect(text).toMatch(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}[+-]\d\d:\d\d$/)
  })
})
