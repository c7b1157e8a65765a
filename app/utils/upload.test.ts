import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { upload } from './upload'

type Progress = { lengthComputable: boolean; loaded: number; total: number }
/** A line by hand: a test says what moves on it. */
class Line {
  static last: Line
  upload: { onprogress?: (event: Progress) => void; onload?: () => void } = {}
  onload = (): void => {}
  onerror = (): void => {}
  onabort = (): void => {}
  onloadend = (): void => {}
  status = 200
  responseText = ''
  ended = false
  constructor() {
    Line.last = this
  }
  open() {}
  setRequestHeader() {}
  send() {}
  abort() {
    if (this.ended) return
    this.onabort()
    this.end()
  }
  moves(loaded: number) {
    this.upload.onprogress?.({ lengthComputable: true, loaded, total: 100 })
  }
  answers(status: number, text: string) {
    Object.assign(this, { status, responseText: text })
    this.onload()
    this.end()
  }
  private end() {
    this.ended = true
    this.onloadend()
  }
}
const parts: number[] = []
/** How sending ended by now: what it gave, or the name of what it threw. */
function sending(signal = new AbortController().signal) {
  const seen = { ended: null as unknown }
  upload('/api/x', new Blob(['x']), part => parts.push(part), signal).then(
    given => (seen.ended = given),
    (error: Error) => (seen.ended = error.name),
  )
  return seen
}
const passes = (ms: number) => vi.advanceTimersByTimeAsync(ms)

beforeEach(() => {
  parts.length = 0
  vi.useFakeTimers()
  vi.stubGlobal('XMLHttpRequest', Line)
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('a file on its way', () => {
  it('on a slow line goes on as long as anything moves', async () => {
    const file = sending()
    for (let loaded = 10; loaded <= 100; loaded += 10) {
      await passes(50_000)
      Line.last.moves(loaded)
    }
    Line.last.answers(200, '{"id":3}')
    await passes(0)
    expect(file.ended).toEqual({ id: 3 })
    expect(parts.at(-1)).toBe(1)
  })
  it('on a line that is dead without saying so is given up, so that it is sent again', async () => {
    const file = sending()
    Line.last.moves(40)
    await passes(59_000)
    expect(file.ended).toBeNull()
    await passes(2000)
    expect(file.ended).toBe('NoAnswer')
  })
  it('is waited for while the shop works on it', async () => {
    const file = sending()
    Line.last.moves(100)
    Line.last.upload.onload?.()
    await passes(300_000)
    expect(file.ended).toBeNull()
    Line.last.answers(200, '{}')
    await passes(600_000)
    expect(file.ended).toEqual({})
  })
  it('stops when it is told to', async () => {
    const stop = new AbortController()
    const file = sending(stop.signal)
    stop.abort()
    await passes(0)
    expect(file.ended).toBe('NoAnswer')
  })
  it.each([
    ['a refusal of the shop', 422, '{"title":"This is no picture.","status":422}', 'Refused'],
    ['a page of some proxy', 502, '<html>', 'NoAnswer'],
    ['a broken line', 0, '', 'NoAnswer'],
  ])('tells %s for what it is', async (_, status, text, name) => {
    const file = sending()
    if (status) Line.last.answers(status, text)
    else Line.last.onerror()
    await passes(0)
    expect(file.ended).toBe(name)
  })
})
