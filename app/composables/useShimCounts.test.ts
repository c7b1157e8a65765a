import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { type CountShim, useShimCounts } from './useShimCounts'

const SHIM = { diameterMm: 9.5, sizeMm: 2.35, count: 1 }
const rest = async () => {
  vi.advanceTimersByTime(1000)
  await flushPromises()
}
beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

/** A shelf that is told what to answer, later: yes or no to the request that waits longest. */
function slowShelf() {
  const sent: [count: number, was: number][] = []
  const waiting: ((taken: boolean) => void)[] = []
  const send: CountShim = ({ count, was }) => {
    sent.push([count, was])
    return new Promise(resolve => waiting.push(resolve))
  }
  const answer = async (taken: boolean) => {
    waiting.shift()!(taken)
    await flushPromises()
  }
  return { sent, send, answer }
}

describe('shims counted by taps', () => {
  it('are one count while the taps follow each other, and never fewer than none', async () => {
    const { sent, send } = slowShelf()
    const { shown, step } = useShimCounts(send)
    for (let i = 0; i < 4; i++) step(SHIM, -1)
    expect(shown(SHIM)).toBe(0)
    await rest()
    expect(sent).toEqual([[0, 1]])
  })
  it('tapped while a count is on its way: sent after it, counted on from what it left', async () => {
    const { sent, send, answer } = slowShelf()
    const { shown, step } = useShimCounts(send)
    step(SHIM, 1)
    await rest()
    step(SHIM, 1)
    await rest()
    expect(sent, 'two at once could overtake each other').toEqual([[2, 1]])
    await answer(true)
    expect(sent).toEqual([
      [2, 1],
      [3, 2],
    ])
    await answer(true)
    expect(shown({ ...SHIM, count: 3 }), 'the shelf’s own number again').toBe(3)
  })
  it('refused: the shelf’s number is shown, and nothing tapped on top of a wrong one is sent', async () => {
    const { sent, send, answer } = slowShelf()
    const { shown, step } = useShimCounts(send)
    step(SHIM, 1)
    await rest()
    step(SHIM, 1)
    await answer(false)
    await rest()
    expect(sent).toEqual([[2, 1]])
    expect(shown({ ...SHIM, count: 5 })).toBe(5)
  })
  it('tapped up and down again: nothing is sent', async () => {
    const { sent, send } = slowShelf()
    const { step } = useShimCounts(send)
    step(SHIM, 1)
    step(SHIM, -1)
    await rest()
    expect(sent).toEqual([])
  })
  it('the page is left while a count is on its way: what was tapped since still follows', async () => {
    const { sent, send, answer } = slowShelf()
    const { step, finish } = useShimCounts(send)
    step(SHIM, 1)
    await rest()
    step(SHIM, 1)
    finish([SHIM])
    await answer(true)
    expect(sent).toEqual([
      [2, 1],
      [3, 2],
    ])
  })
})
