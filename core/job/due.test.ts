import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { found, said, T, trial } from '../../tests/support/job-book'
import { dueByForecast } from '../../tests/support/told'
import type { MachinePast } from '../history'
import { type Due, suggestedDue } from './index'

const DAY = 86_400_000
const OPENED = Date.parse('2026-11-25')
const around = (mm: number) => ({ loMm: mm - 0.005, hiMm: mm + 0.005 })
/** Three visits 400 hours apart, at which the exhaust had closed by 0.03 mm each time. */
const tightening: MachinePast = {
  visits: [0, 1, 2].map(i => ({
    atMs: OPENED - (3 - i) * 200 * DAY,
    use: i * 400,
    valves: { exhaust: { asFound: i ? around(0.11) : null, asLeft: around(0.14) } },
  })),
  uses: [
    { atMs: OPENED - 600 * DAY, use: 0 },
    { atMs: OPENED - 200 * DAY, use: 800 },
  ],
  sinceMs: OPENED - 600 * DAY,
  family: {},
}
const machine = {
  id: 1,
  name: 'Machine',
  tag: 'M1',
  owner: 'Owner',
  meterUnit: 'h' as const,
  meter: 1300,
  lastMeter: 900,
}
const interval = { use: 1000, months: 24 }
const measured = (past: MachinePast | null, changes: object = {}) =>
  found(said(engineOf({ interval }), { past, machine: { ...machine, ...changes } })).say(
    trial('intake', 0.1, 'drag'),
    trial('exhaust', 0.12, 'drag'),
    { type: 'prove-turned', payload: { turns: 2, to: T } },
    trial('intake', 0.1, 'drag'),
    trial('exhaust', 0.12, 'drag'),
  )

describe('the next check, before anything is signed', () => {
  it('is offered sooner where a valve is likely out before the interval is over', () => {
    const view = measured(tightening).view()
    const forecast = dueByForecast(view)!
    const bySpec = suggestedDue(view)
    expect(bySpec.use).toBe(2300)
    // it has 0.0275 mm to its limit, and lost 0.03, 0.03 and 0.0125 in 400 h each: 0.024 a time, so 450 h
    expect(forecast.use!).toBeGreaterThan(1300 + 100)
    expect(forecast.use!).toBeLessThan(1300 + 450)
    expect(forecast.date! < bySpec.date!).toBe(true)
    expect(forecast.why).toContain('exhaust may be out')
  })
  it('of half a year from the end of August is the end of February, not a day of March', () => {
    const view = measured(tightening).view()
    const { interval } = view.pin.spec.engine
    const engine = { ...view.pin.spec.engine, interval: { ...interval, months: 6 } }
    const pin = { ...view.pin, spec: { ...view.pin.spec, engine } }
    expect(suggestedDue({ ...view, pin, nowMs: Date.parse('2026-08-31T15:00:00Z') }).date).toBe('2027-02-28')
  })
  it.each([
    ['America/Denver', '2027-11-30'],
    ['Pacific/Auckland', '2027-12-01'],
    [undefined, '2027-12-01'],
  ])('of a year is on the day that it is in the shop: in %s %s', (timeZone, date) => {
    const view = measured(tightening).view()
    const { interval } = view.pin.spec.engine
    const engine = { ...view.pin.spec.engine, interval: { ...interval, months: 12 } }
    const pin = { ...view.pin, timeZone, spec: { ...view.pin.spec, engine } }
    // half past five in the afternoon in Denver
    expect(suggestedDue({ ...view, pin, nowMs: Date.parse('2026-12-01T00:30:00Z') }).date).toBe(date)
  })
  it('is the first key of the Close step, the spec’s own the second', () => {
    const book = measured(tightening).say(
      { type: 'nuts-checked', payload: { count: 2 } },
      { type: 'gasket', payload: { choice: 'new', note: '' } },
      ...['Rocker cover', 'Spark plug', 'Seat'].map(item => ({ type: 'went-back' as const, payload: { item } })),
      { type: 'torqued', payload: { what: 'cover', torqueNm: 8 } },
      { type: 'torqued', payload: { what: 'plug', torqueNm: 12 } },
      { type: 'ran', payload: { result: 'clean', note: '' } },
    )
    const next = book.next()
    expect(next.instruction).toBe('When is the next check due?')
    expect(next.keys.map(k => k.help).slice(0, 2)).toEqual(['sooner: a valve may be out', 'by the spec'])
    const { use } = dueByForecast(book.view())!
    expect((next.keys[0]!.happening!.payload as Due).use).toBe(use)
  })
  it('is the spec’s own where too little is known, no meter was read, or the valve stands still', () => {
    expect(dueByForecast(measured(null).view())).toBeNull()
    expect(dueByForecast(measured(tightening, { meter: null }).view())).toBeNull()
    const still = tightening.visits.map(v => ({
      ...v,
      valves: { exhaust: { asFound: around(0.128), asLeft: around(0.128) } },
    }))
    expect(dueByForecast(measured({ ...tightening, visits: still }).view())).toBeNull()
  })
  it('never calls anybody back at once: a tenth of the interval is the least', () => {
    const fast = tightening.visits.map(v => ({
      ...v,
      valves: { exhaust: { asFound: around(0.03), asLeft: around(0.14) } },
    }))
    expect(dueByForecast(measured({ ...tightening, visits: fast }).view())!.use).toBe(1400)
  })
})
