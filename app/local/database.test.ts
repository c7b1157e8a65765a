import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { forgetStore, inStore, localDatabase } from './database'
import { deviceId, draftAnswer, keep, waitingAnswers } from './outbox'
import { endless, storeIsSilent } from './store-for-tests'

const ada = { shopId: 1, personId: 7, personName: 'Ada' }
const answer = () =>
  draftAnswer(
    ada,
    { id: 'd-1', seq: 1 },
    5,
    { type: 'note', payload: { text: 'x' } },
    { seenSeq: 0, seenDeviceSeq: 0 },
    0,
  )
/** How a promise ended by now. */
function watched(work: Promise<unknown>): { ended: string | null } {
  const seen: { ended: string | null } = { ended: null }
  work.then(
    () => (seen.ended = 'well'),
    (error: Error) => (seen.ended = error.name),
  )
  return seen
}

beforeEach(async () => {
  forgetStore()
  const db = await localDatabase()
  await Promise.all([db.clear('waiting'), db.clear('device')])
  // only the clock of those who wait: the store itself runs by timers of another kind
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'performance'] })
})
afterEach(() => {
  vi.useRealTimers()
  vi.restoreAllMocks()
  forgetStore()
})

describe('a browser’s store that neither opens nor fails', () => {
  it('is waited for as long as a slow phone needs, and then counts as none', async () => {
    storeIsSilent()
    const first = watched(waitingAnswers())
    await vi.advanceTimersByTimeAsync(2000)
    expect(first.ended).toBeNull()
    await vi.advanceTimersByTimeAsync(2500)
    expect(first.ended).toBe('StoreSilent')
  })
  it('makes nobody wait twice: the next who asks is told at once', async () => {
    storeIsSilent()
    const first = watched(waitingAnswers())
    await vi.advanceTimersByTimeAsync(4500)
    expect(first.ended).toBe('StoreSilent')
    await expect(waitingAnswers()).rejects.toThrow('does not answer')
    // a device without its store has a name all the same, for as long as the page is open
    expect(await deviceId()).toBe(await deviceId())
  })
  it('is tried again after a while', async () => {
    storeIsSilent()
    const first = watched(waitingAnswers())
    await vi.advanceTimersByTimeAsync(4500)
    expect(first.ended).toBe('StoreSilent')
    vi.restoreAllMocks()
    await vi.advanceTimersByTimeAsync(15_500)
    expect((await waitingAnswers()).waiting).toEqual([])
  })
})

describe('a store that falls silent while it writes', () => {
  it('is waited for while it may be writing something large: nothing else is told that it is silent', async () => {
    let ends = () => {}
    const large = watched(inStore(() => new Promise<void>(done => (ends = done))))
    await vi.advanceTimersByTimeAsync(8000)
    expect(large.ended).toBeNull()
    expect((await waitingAnswers()).waiting).toEqual([])
    ends()
    await vi.advanceTimersByTimeAsync(0)
    expect(large.ended).toBe('well')
  })
  it('does not keep later what somebody was told is not kept', async () => {
    let ends: (() => void) | undefined
    const late = watched(
      inStore(async (_, tooLate) => {
        await new Promise<void>(done => {
          ends = done
          tooLate.addEventListener('abort', () => done())
        })
      }),
    )
    await vi.advanceTimersByTimeAsync(10_500)
    expect(late.ended).toBe('StoreSilent')
    expect(ends).toBeDefined()

    forgetStore()
    vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementationOnce(() => endless(IDBRequest))
    const kept = watched(keep(answer()))
    await vi.advanceTimersByTimeAsync(10_500)
    expect(kept.ended).toBe('StoreSilent')
    vi.useRealTimers()
    forgetStore()
    expect((await waitingAnswers()).waiting).toEqual([])
  })
})
