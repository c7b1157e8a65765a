import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { openLine } from './useLive'

/** An EventSource as browsers have it, answered by the test. */
class FakeSource {
  static OPEN = 1
  static CLOSED = 2
  static made: FakeSource[] = []
  readyState = 0
  onopen = () => {}
  onmessage: (message: { data: string }) => void = () => {}
  onerror = () => {}
  alive = () => {}
  constructor() {
    FakeSource.made.push(this)
  }
  addEventListener(_: string, listener: () => void) {
    this.alive = listener
  }
  close() {
    this.readyState = FakeSource.CLOSED
  }
  answer() {
    this.readyState = FakeSource.OPEN
    this.onopen()
  }
  /** A proxy's 502: the browser closes the line for good. */
  refuse() {
    this.readyState = FakeSource.CLOSED
    this.onerror()
  }
}
const last = () => FakeSource.made.at(-1)!

beforeEach(() => {
  vi.useFakeTimers()
  vi.spyOn(Math, 'random').mockReturnValue(0.5)
  vi.stubGlobal('EventSource', FakeSource)
  FakeSource.made = []
})
afterEach(() => {
  vi.useRealTimers()
  vi.restoreAllMocks()
  vi.unstubAllGlobals()
})

describe('the line to the shop’s news', () => {
  it('is opened again after an HTTP error, later each time, and what was missed is fetched', () => {
    const missed = vi.fn()
    openLine(() => {}, missed)
    last().answer()
    // what changed between the page's own fetch and now was told to nobody
    expect(missed).toHaveBeenCalledTimes(1)
    const waits: number[] = []
    for (let i = 0; i < 4; i++) {
      const count = FakeSource.made.length
      last().refuse()
      let waited = 0
      for (; FakeSource.made.length === count; waited += 500) vi.advanceTimersByTime(500)
      waits.push(waited)
    }
    expect(waits).toEqual([1000, 2000, 4000, 8000])
    last().answer()
    expect(missed).toHaveBeenCalledTimes(2)
    // all is well again: the pauses begin anew
    last().refuse()
    vi.advanceTimersByTime(1000)
    expect(last().readyState).toBe(0)
  })
  it('is opened again when it has gone silent, as after sleep', () => {
    openLine(
      () => {},
      () => {},
    )
    last().answer()
    vi.advanceTimersByTime(40_000)
    last().alive()
    vi.advanceTimersByTime(40_000)
    expect(FakeSource.made).toHaveLength(1)
    vi.advanceTimersByTime(10_000)
    expect(FakeSource.made).toHaveLength(2)
  })
  it('wakes at once when somebody is back', () => {
    const line = openLine(
      () => {},
      () => {},
    )
    last().answer()
    line.wake()
    expect(FakeSource.made).toHaveLength(1)
    last().refuse()
    line.wake()
    expect(FakeSource.made).toHaveLength(2)
    line.close()
    vi.advanceTimersByTime(120_000)
    expect(FakeSource.made).toHaveLength(2)
  })
  it('hands news on', () => {
    const news = vi.fn()
    openLine(news, () => {})
    last().onmessage({ data: '{"jobId":3,"seq":9}' })
    expect(news).toHaveBeenCalledWith({ jobId: 3, seq: 9 })
  })
})
