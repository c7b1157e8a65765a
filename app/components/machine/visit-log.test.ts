import { mount, RouterLinkStub } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { MachineResponse, ValvePoint, VisitSummary } from '~~/shared/machines'
import VisitLog from './VisitLog.vue'

const visit = (changes: Partial<VisitSummary>): VisitSummary => ({
  ...{ key: 'job 4', jobId: 4, number: 31, at: '2026-05-04T15:00:00.000Z', meter: 812, revision: 2 },
  ...{ person: 'Tam', words: 'All set.', ofEngineBefore: false, ...changes },
})
const reading = { loMm: 0.08, hiMm: 0.1, verdict: 'in' as const }
const point = (key: string): ValvePoint => ({
  ...{ visit: key, atMs: 0, use: 0, minMm: 0.08, maxMm: 0.12, asFound: null, asLeft: reading, touched: true },
})
const seenOf = (changes: object): MachineResponse =>
  ({
    machine: { meterUnit: 'km' },
    valves: [{ valveId: 'intake', name: 'Intake', points: [point('job 4'), point('job 3')] }],
    visits: [],
    records: [],
    ...changes,
  }) as unknown as MachineResponse
const log = (changes: object, timeZone = 'Etc/UTC') => mount(VisitLog, { props: { seen: seenOf(changes), timeZone } })
const days = (page: ReturnType<typeof log>) => page.findAll('.visit b').map(b => b.text())

describe('the log of a machine', () => {
  it('of a machine that was never here says so', () => {
    expect(log({}).text()).toContain('No visits yet')
  })
  it('has visits and what happened between, the newest first', () => {
    const page = log({
      visits: [visit({}), visit({ key: 'job 3', jobId: 3, at: '2025-05-04T15:00:00.000Z' })],
      records: [{ id: 1, kind: 'owner', at: '2025-11-02T12:00:00.000Z', words: 'From A to B', person: 'Ines' }],
    })
    expect(days(page)).toEqual(['May 4, 2026', 'Nov 2, 2025', 'May 4, 2025'])
    expect(page.get('[data-record="owner"]').text()).toContain('From A to B')
  })
  it('goes by the shop’s clock, wherever it is read', () => {
    const late = { visits: [visit({ at: '2026-05-05T02:30:00.000Z' })] }
    expect(days(log(late, 'America/Denver'))).toEqual(['May 4, 2026'])
    expect(days(log(late, 'Pacific/Auckland'))).toEqual(['May 5, 2026'])
  })
  it('opens the sheet of a job; a visit from paper has none', () => {
    const page = log({ visits: [visit({}), visit({ key: 'past visit 2', jobId: null, number: null, meter: null })] })
    const [job, paper] = page.findAll('.visit')
    expect(page.findComponent(RouterLinkStub).props('to')).toBe('/jobs/4/sheet')
    expect(job!.element.tagName).toBe('A')
    expect(paper!.element.tagName).toBe('DIV')
    expect(paper!.text()).toContain('meter not read')
  })
  it('shows no reading of an engine that is no longer in it', () => {
    const shown = (ofEngineBefore: boolean) =>
      log({ visits: [visit({ ofEngineBefore })] }).findAll('ul li, ul svg').length
    expect(shown(false)).toBeGreaterThan(0)
    expect(shown(true)).toBe(0)
  })
})
