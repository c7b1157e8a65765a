import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { planDay, type Turn, type Work } from './index'

const NOW = Date.parse('2026-11-25T09:00:00Z')
const MINUTE = 60_000
const work = (id: string, changes: Partial<Work> = {}): Work => ({
  id,
  person: null,
  place: 1,
  minutes: 30,
  earliestMs: NOW,
  after: null,
  waitsFor: 'cold later',
  ...changes,
})
const at = (turns: Turn[], id: string) => turns.find(t => t.id === id)!
const minutes = (ms: number) => (ms - NOW) / MINUTE

describe('the order of the day', () => {
  it('an oil change waits for the valves of its machine, also where it stands first', () => {
    const turns = planDay(
      [
        work('oil', { person: 1, place: 0, after: 'valves', waitsFor: 'after the valves' }),
        work('valves', { person: 1, place: 1 }),
      ],
      [1],
      NOW,
    )
    expect(turns.map(t => t.id)).toEqual(['valves', 'oil'])
    expect(at(turns, 'oil').why).toBe('after the valves')
  })
  it('while one cools, the next in order is done; a card of nobody’s fills what is left', () => {
    const cooling = NOW + 90 * MINUTE
    const turns = planDay(
      [
        work('hot', { person: 1, place: 1, earliestMs: cooling, waitsFor: 'cold about 10:30' }),
        work('cold', { person: 1, place: 2 }),
        work('anybody', { place: 3 }),
      ],
      [1],
      NOW,
    )
    expect(turns.filter(t => t.person === 1).map(t => [t.id, minutes(t.startMs)])).toEqual([
      ['cold', 0],
      ['anybody', 30],
      ['hot', 90],
    ])
    expect([at(turns, 'hot').why, at(turns, 'anybody').filling]).toEqual(['cold about 10:30', true])
  })
  it('what nobody can fill is waited for, and its time is said', () => {
    const [turn] = planDay([work('hot', { person: 1, earliestMs: NOW + 40 * MINUTE })], [1], NOW)
    expect(turn).toMatchObject({ startMs: NOW + 40 * MINUTE, why: 'cold later', filling: false })
  })
  it('a warm task of one waits for the valves that another does', () => {
    const turns = planDay([work('oil', { person: 1, after: 'valves' }), work('valves', { person: 2 })], [1, 2], NOW)
    expect(minutes(at(turns, 'oil').startMs)).toBe(30)
  })
  it('work that waits for itself is named, not lost', () => {
    expect(() =>
      planDay([work('a', { person: 1, after: 'b' }), work('b', { person: 1, after: 'a' })], [1], NOW),
    ).toThrow(/waits for itself/)
  })
})

/** Any day of up to eight pieces for up to three people; each may come after the one before it. */
const days = fc
  .array(
    fc.record({
      person: fc.constantFrom(1, 2, 3, null),
      place: fc.integer({ min: 0, max: 9 }),
      minutes: fc.integer({ min: 5, max: 90 }),
      cools: fc.integer({ min: 0, max: 180 }),
      chained: fc.boolean(),
    }),
    { minLength: 1, maxLength: 8 },
  )
  .map(all =>
    all.map((w, i): Work =>
      work(`w${i}`, {
        person: w.person,
        place: w.place,
        minutes: w.minutes,
        earliestMs: NOW + w.cools * MINUTE,
        after: w.chained && i > 0 ? `w${i - 1}` : null,
      }),
    ),
  )

describe('of any day', () => {
  it('each piece is done once, never before it can be, and nobody does two at once', () =>
    fc.assert(
      fc.property(days, works => {
        const turns = planDay(works, [1, 2, 3], NOW)
        expect(turns.map(t => t.id).sort()).toEqual(works.map(w => w.id).sort())
        for (const w of works) {
          const turn = at(turns, w.id)
          expect(turn.startMs).toBeGreaterThanOrEqual(
            w.after === null ? w.earliestMs : Math.max(w.earliestMs, at(turns, w.after).endMs),
          )
          if (w.person !== null) expect(turn.person).toBe(w.person)
        }
        for (const a of turns)
          for (const b of turns)
            if (a !== b && a.person === b.person) expect(a.endMs <= b.startMs || b.endMs <= a.startMs).toBe(true)
      }),
    ))
  it('nobody waits while something of theirs could be done', () =>
    fc.assert(
      fc.property(days, works => {
        const turns = planDay(works, [1, 2, 3], NOW)
        const can = (w: Work) => (w.after === null ? w.earliestMs : Math.max(w.earliestMs, at(turns, w.after).endMs))
        for (const person of [1, 2, 3]) {
          const own = turns.filter(t => t.person === person).sort((a, b) => a.startMs - b.startMs)
          for (const [i, turn] of own.entries()) {
            const free = i === 0 ? NOW : own[i - 1]!.endMs
            if (turn.startMs <= free) continue
            // what was done later by this person could not be begun in the gap either
            for (const later of own.slice(i)) expect(can(works.find(w => w.id === later.id)!)).toBeGreaterThan(free)
          }
        }
      }),
    ))
})
