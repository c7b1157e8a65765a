import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { nextTick, ref, shallowRef } from 'vue'
import { type JobEvent, jobTools, nextThing, viewJob } from '~~/core/job'
import { engineOf, pinOf } from '~~/tests/support/builders'
import { within } from '~~/tests/support/screens'
import { wholeJob } from '~~/tests/support/whole-job'
import { useForesight } from './useForesight'

/** A job of which the rockers are to be felt next. */
async function atWiggle() {
  const { log } = await wholeJob(engineOf(), { gapMm: { intake: 0.1, exhaust: 0.05 } })
  const isFelt = (e: JobEvent) => e.type === 'crank' && e.payload.observations.some(o => o.kind === 'rocker')
  const at = log.events.findIndex(isFelt)
  const [before, felt] = [log.events.slice(0, at), log.events[at]!]
  const now = Date.parse(felt.at)
  const tools = jobTools(pinOf())
  const next = shallowRef(nextThing(viewJob(tools, before, now)))
  const given = { tools: shallowRef(tools), log: shallowRef(before), next, nowMs: ref(now) }
  const { snapshots } = tools.memoryFor(null)
  return { given, next, snapshots, answer: () => viewJob(tools, [...before, felt], now) }
}

beforeEach(() => {
  vi.useFakeTimers()
})
afterEach(() => {
  vi.useRealTimers()
})

it('works out each key once nobody has answered for a while, so that the answer finds it', async () => {
  const { given, snapshots, answer } = await atWiggle()
  const { end } = within(() => useForesight(given))
  const atFirst = snapshots.size
  await vi.advanceTimersByTimeAsync(500)
  expect(snapshots.size).toBe(atFirst)
  await vi.advanceTimersByTimeAsync(2000)
  const foreseen = snapshots.size
  expect(foreseen).toBeGreaterThan(atFirst)
  answer()
  expect(snapshots.size).toBe(foreseen)
  end()
})

it('does nothing again where only the clock went on', async () => {
  const { given, next } = await atWiggle()
  const modelFor = vi.spyOn(given.tools.value, 'modelFor')
  const { end } = within(() => useForesight(given))
  await vi.advanceTimersByTimeAsync(3000)
  const looked = modelFor.mock.calls.length
  expect(looked).toBeGreaterThan(0)
  given.nowMs.value += 20_000
  next.value = { ...next.value, keys: next.value.keys.map(key => ({ ...key })) }
  await vi.advanceTimersByTimeAsync(3000)
  expect(modelFor.mock.calls.length).toBe(looked)
  end()
})

it('stops where an answer is given meanwhile, or the page is left', async () => {
  const { given, next, snapshots } = await atWiggle()
  const { end } = within(() => useForesight(given))
  const atFirst = snapshots.size
  await vi.advanceTimersByTimeAsync(500)
  next.value = { ...next.value, keys: [] }
  await nextTick()
  await vi.advanceTimersByTimeAsync(3000)
  expect(snapshots.size).toBe(atFirst)
  next.value = { ...next.value, keys: nextThing(viewJob(given.tools.value, given.log.value, given.nowMs.value)).keys }
  await nextTick()
  end()
  await vi.advanceTimersByTimeAsync(3000)
  expect(snapshots.size).toBe(atFirst)
})
