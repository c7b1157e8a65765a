import { describe, expect, it } from 'vitest'
import { engineOf, LogBook, pinOf } from '../../../tests/support/builders'
import { wholeJob } from '../../../tests/support/whole-job'
import { jobTools, readingRows, viewJob } from '../index'
import { EVENT_TYPES, EVENTS, kindOf } from './index'

describe('every kind of event', () => {
  it.each(EVENT_TYPES)('%s is found by its own name', type => expect(EVENTS[type].type).toBe(type))
  it('what can change a reading or the job’s status says so: the shop’s rows are never behind the log', async () => {
    const engine = engineOf({ decompressor: { kind: 'unknown' } })
    const tools = jobTools(pinOf(engine))
    const { log: book } = await wholeJob(engine, { gapMm: { intake: 0.1, exhaust: 0.05 } })
    const log = book.events
    const rowsOf = (events: typeof log) => {
      const view = viewJob(tools, events, 0)
      return JSON.stringify([readingRows(view), view.state.status])
    }
    log.forEach((event, i) => {
      if (!kindOf(event.type).projected) expect(rowsOf(log.slice(0, i + 1)), event.type).toBe(rowsOf(log.slice(0, i)))
    })
  })
  it('a proof that must be a pair changes what is proved, so it is projected', () => {
    const log = new LogBook()
    log.add({ type: 'prove-turned', payload: { turns: 2, to: null } })
    log.add({ type: 'trial', payload: { valveId: 'intake', bladesMm: [0.1], feel: 'drag', after: null } })
    const verdicts = () => readingRows(viewJob(jobTools(pinOf(engineOf())), log.events, 0)).map(r => r.verdict)
    expect(verdicts()).toEqual(['in'])
    log.add({ type: 'proof-chosen', payload: { pair: true } })
    expect(verdicts()).toEqual(['unproved'])
    expect(EVENTS['proof-chosen'].projected).toBe(true)
  })
})
