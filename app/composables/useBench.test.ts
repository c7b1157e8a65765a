import 'fake-indexeddb/auto'
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { JobEvent } from '~~/core/job'
import { LogBook, pinOf } from '~~/tests/support/builders'
import { fine, newDevice, refused, sessionOf, shopAnswers, within } from '~~/tests/support/screens'
import { localDatabase } from '../local/database'
import { mergeEvents } from '../local/jobs'
import { isoWithOffset } from '../local/outbox'
import { useSessionStore } from '../stores/session'
import { useBench } from './useBench'

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

describe('a job at the bench', () => {
  let shop: JobEvent[] = []
  let hearNews: (news: object) => void = () => {}
  let slow: Promise<void> | null = null
  let answers = true

  beforeEach(async () => {
    const db = await localDatabase()
    await Promise.all([db.clear('waiting'), db.clear('device'), db.clear('jobs')])
    shop = []
    slow = null
    answers = true
    newDevice()
    vi.stubGlobal(
      'EventSource',
      class {
        onmessage: (message: { data: string }) => void = () => {}
        constructor() {
          hearNews = news => this.onmessage({ data: JSON.stringify(news) })
        }
        addEventListener() {}
        close() {}
      },
    )
    useSessionStore().begin(sessionOf())
  })
  afterEach(() => vi.unstubAllGlobals())

  /** The shop's server with this job's log. */
  const server = () =>
    shopAnswers(async ({ line, body }) => {
      if (!answers) return 'no answer'
      const now = new Date().toISOString()
      if (line.startsWith('POST /api/jobs/1/events')) {
        const event = { ...(body as object), seq: shop.length + 1, personName: 'Ada' } as JobEvent
        shop.push(event)
        return fine({ event, lastSeq: shop.length, now })
      }
      const after = Number(/after=(\d+)/.exec(line)?.[1] ?? 0)
      // read before it is waited: what comes meanwhile is not in it
      const events = shop.slice(after)
      const lastSeq = shop.length
      if (slow) await slow
      return line.startsWith('GET /api/jobs/1') ? fine({ pin: pinOf(), events, lastSeq, now }) : refused('Gone.', 404)
    })
  const written = (...texts: string[]) => {
    const book = new LogBook('d-elsewhere.page')
    for (const text of texts) book.add({ type: 'note', payload: { text } }, { at: new Date(0).toISOString() })
    shop = book.events
  }
  const settled = async () => {
    for (let i = 0; i < 12; i++) await flushPromises().then(() => new Promise(r => setTimeout(r, 2)))
  }

  it('what was written while it was being fetched is fetched once more, from where it ended', async () => {
    const asked = server()
    written('a', 'b')
    let letGo = (): void => {}
    slow = new Promise(resolve => (letGo = resolve))
    const { it: bench, end } = within(() => useBench(1))
    await settled()
    written('a', 'b', 'c')
    hearNews({ jobId: 1, seq: 3 })
    hearNews({ jobId: 1, seq: 3 })
    slow = null
    letGo()
    await settled()
    expect(bench.log.value.map(e => e.seq)).toEqual([1, 2, 3])
    expect(asked.filter(a => a.line.startsWith('GET /api/jobs/1?')).map(a => a.line)).toEqual([
      'GET /api/jobs/1?after=0',
      'GET /api/jobs/1?after=2',
    ])
    // news of what is known, or of another job, is nothing to ask for
    const before = asked.length
    hearNews({ jobId: 1, seq: 3 })
    hearNews({ jobId: 2, seq: 9 })
    hearNews({ board: 4 })
    await settled()
    expect(asked).toHaveLength(before)
    end()
  })
  it('an answer counts at once, and without the shop it waits; then it is sent, and counts once', async () => {
    const asked = server()
    const { it: bench, end } = within(() => useBench(1))
    await settled()
    answers = false
    await bench.answer({ type: 'note', payload: { text: 'Rag in the port' } })
    expect(bench.log.value).toHaveLength(1)
    await settled()
    expect(bench.toSend.value).toBe(1)
    expect(bench.lastOwn.value?.type).toBe('note')
    end()
    // the tab is closed and opened again, still without the shop
    const again = within(() => useBench(1))
    await settled()
    expect(again.it.failed.value).toBeNull()
    expect(again.it.log.value).toHaveLength(1)
    answers = true
    await again.it.load()
    await settled()
    expect(asked.filter(a => a.line === 'POST /api/jobs/1/events').length).toBeGreaterThan(1)
    expect(shop).toHaveLength(1)
    expect(again.it.log.value.map(e => e.seq)).toEqual([1])
    expect(again.it.toSend.value).toBe(0)
    again.end()
  })
  it('a job that this device has never seen says so where nobody answers, and is shown once somebody does', async () => {
    server()
    answers = false
    const { it: bench, end } = within(() => useBench(1))
    await settled()
    expect(bench.view.value).toBeNull()
    expect(bench.failed.value).not.toBeNull()
    answers = true
    await bench.load()
    expect(bench.failed.value).toBeNull()
    expect(bench.next.value!.step).toBe('ready')
    end()
  })
  it('while another has it in hand an answer is refused in words, but it may be taken over', async () => {
    server()
    const book = new LogBook('d-elsewhere.page')
    book.add(
      { type: 'crank', payload: { observations: [{ kind: 'lost' }] } },
      { personId: 2, personName: 'Sol', at: new Date(Date.now() - 120_000).toISOString() },
    )
    shop = book.events
    const { it: bench, end } = within(() => useBench(1))
    await settled()
    expect(bench.otherHand.value).toEqual({ personName: 'Sol', minutes: 2 })
    await bench.answer({ type: 'crank', payload: { observations: [{ kind: 'lost' }] } })
    expect(bench.unrecorded.value).toContain('Sol')
    expect(bench.log.value).toHaveLength(1)
    await bench.answer({ type: 'taken-over', payload: {} })
    await settled()
    expect(bench.otherHand.value).toBeNull()
    expect(shop.at(-1)!.type).toBe('taken-over')
    end()
  })
})
