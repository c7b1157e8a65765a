import { mount, RouterLinkStub as NuxtLink } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { BayCard, BayCooling } from '~~/shared/board'
import BayCardView from './BayCardView.vue'

const NOW = Date.parse('2026-06-01T09:00:00Z')
const MINUTE = 60_000
type Valve = BayCard['valves'][number]
const valve = (name: string, verdict: Valve['verdict'], changes: Partial<Valve> = {}): Valve => ({
  ...{ name, verdict, loMm: 0.1, hiMm: 0.12, minMm: 0.08, maxMm: 0.12, ...changes },
})
const card = (changes: Partial<BayCard> = {}): BayCard => ({
  ...{ jobId: 4, number: 404, column: 'ready', status: 'open', statusReason: null, machine: 'Plover 200' },
  ...{ model: 'P', kind: 'Mower', owner: 'Wren', people: [], complaint: '', complaints: [], temperature: null },
  ...{ rested: null, cooling: null, assigned: null, place: 1, turn: null, tasks: [], valves: [], closedAt: null },
  next: 'Set the crank',
  ...changes,
})
const cooling = (ready: BayCooling['ready'], changes: Partial<BayCooling> = {}): BayCooling => ({
  ...{ airC: 21, airAssumed: false, limitC: 35, readings: [{ atMs: NOW - 30 * MINUTE, celsius: 60 }] },
  curve: [
    { atMs: NOW - 30 * MINUTE, celsius: 60 },
    { atMs: NOW + 60 * MINUTE, celsius: 30 },
  ],
  ready,
  ...changes,
})
const shown = (changes: Partial<BayCard> = {}) =>
  mount(BayCardView, {
    props: {
      ...{ card: card(changes), nowMs: NOW, moving: false, keepable: false },
      clock: (atMs: number) => new Date(atMs).toISOString().slice(11, 16),
    },
  })
const next = (page: ReturnType<typeof shown>) => page.get('.next').text().replace('→', '').trim()

describe('the one next thing on a card', () => {
  it('of a head that cools says how warm it was and about when it is cold; then, to read it', () => {
    const warm = { temperature: { celsius: 60, limitC: 35 } }
    const at = (ms: number) => cooling({ kind: 'at', atMs: NOW + ms, soonestMs: NOW + ms })
    expect(next(shown({ ...warm, cooling: at(40 * MINUTE) }))).toBe('60 °C, cold about 09:40')
    expect(next(shown({ ...warm, cooling: at(-MINUTE) }))).toBe('Should be cold: read the head')
    expect(next(shown({ ...warm, cooling: cooling({ kind: 'air too warm' }, { airC: 36 }) }))).toMatch(
      /36 °C: leave it overnight/,
    )
  })
  it('air that nobody read is said to be assumed, in both scales', () => {
    const page = shown({ cooling: cooling({ kind: 'air too warm' }, { airAssumed: true }) })
    expect(page.text()).toContain('Air assumed 21 °C (70 °F).')
  })
  it('done, it cools no more, and leads to its sheet; open, to the Bench', () => {
    const at = cooling({ kind: 'at', atMs: NOW, soonestMs: NOW })
    const done = shown({ column: 'done', status: 'closed', cooling: at, temperature: { celsius: 60, limitC: 35 } })
    expect(next(done)).toBe('Set the crank')
    expect(done.findComponent(NuxtLink).props('to')).toBe('/jobs/4/sheet')
    expect(done.find('.grip').exists()).toBe(false)
    expect(shown().findComponent(NuxtLink).props('to')).toBe('/jobs/4')
  })
})

describe('what was measured', () => {
  it('of two valves each is named; of many, how many of each', () => {
    expect(shown({ valves: [valve('Intake', 'in'), valve('Exhaust', 'tight')] }).text()).toContain(
      'intake in, exhaust tight',
    )
    const eight = ['in', 'in', 'in', 'in', 'in', 'tight', 'loose', 'not measured'] as const
    const text = shown({ valves: eight.map((verdict, n) => valve(`Valve ${n}`, verdict)) }).text()
    for (const said of ['5 in', '1 tight', '1 loose', '1 not measured']) expect(text).toContain(said)
  })
  it('a bar is never outside of its frame, also of a gap that no blade bounds', () => {
    const bars = shown({ valves: [valve('Intake', 'loose', { loMm: 0.6, hiMm: null }), valve('Exhaust', 'in')] })
      .findAll('.valves rect')
      .map(rect => [Number(rect.attributes('x')), Number(rect.attributes('width'))] as const)
    for (const [x, width] of bars) expect(x + width).toBeLessThanOrEqual(50.5)
  })
  it('nothing measured, it says how long it rested and what it came for', () => {
    const text = shown({ rested: 'rested overnight', complaints: ['ticks cold'] }).text()
    expect(text).toMatch(/rested overnight; complaint: ticks when cold/)
  })
})

describe('whose turn it is', () => {
  const turn = { n: 2, startMs: NOW + 25 * MINUTE, why: 'cold by then' }
  it('by name, place in the row and clock; with no clock where it is now', () => {
    expect(shown({ turn, assigned: { id: 1, name: 'Tam' } }).text()).toMatch(/Tam, .*09:25, cold by then/)
    const now = shown({ turn: { ...turn, startMs: NOW + MINUTE }, assigned: { id: 1, name: 'Tam' } }).text()
    expect(now).not.toMatch(/09:01/)
    expect(shown({ turn }).text()).toMatch(/unassigned/i)
  })
  it('held or abandoned, it says why', () => {
    expect(shown({ status: 'held', statusReason: 'waits for a shim' }).text()).toMatch(/on hold: waits for a shim/i)
    expect(shown({ status: 'abandoned', statusReason: 'owner took it' }).text()).toMatch(/abandoned: owner took it/i)
  })
})
