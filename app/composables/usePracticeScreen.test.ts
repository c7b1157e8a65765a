import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { PRACTICE_ENGINES, type PracticeStart, VirtualHand } from '~~/core/practice'
import { within } from '~~/tests/support/screens'
import { usePracticeScreen } from './usePracticeScreen'

const start = (changes: Partial<PracticeStart> = {}): PracticeStart => ({
  kind: PRACTICE_ENGINES[0]!,
  level: 1,
  seed: 11,
  guidance: 'on',
  ...changes,
})

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
})
afterEach(() => vi.useRealTimers())

/** A practice screen with a run begun, and what has been worked out after it was shown. */
function begun(changes: Partial<PracticeStart> = {}) {
  const made = within(() => usePracticeScreen())
  made.it.begin(start(changes))
  vi.advanceTimersByTime(100)
  return made
}
/** Does what the Bench asks at the hidden engine itself, then presses the key that is so. */
function answerOnce(screen: ReturnType<typeof usePracticeScreen>, hand: VirtualHand): void {
  const next = screen.next.value!
  if (next.stage.kind === 'cold') return screen.press(0)
  if (next.trial) {
    const { after, stack, valveId } = next.trial
    if (after?.kind === 'screw') screen.work({ kind: 'screw', valveId, deg: after.deg })
    if (after?.kind === 'nipped') screen.work({ kind: 'nut', valveId, to: 'nipped' })
    if (after?.kind === 'torqued') screen.work({ kind: 'nut', valveId, to: 'locked' })
    screen.work({ kind: 'slide', valveId, bladesMm: stack.engravedMm })
    return screen.press(['free', 'drag', 'pinched', 'no-go'].indexOf(screen.bladeFelt()!.feel))
  }
  const happening = hand.answer(next)
  screen.press(next.keys.findIndex(k => JSON.stringify(k.happening) === JSON.stringify(happening)))
}

describe('a practice run by its screen', () => {
  it('that is led from find to prove ends with every valve in spec, and nothing dangerous', async () => {
    const { it: screen, end } = begun()
    const hand = new VirtualHand(screen.run.value!.drawn.virtual)
    for (let i = 0; i < 150 && !screen.done.value; i++) {
      answerOnce(screen, hand)
      await flushPromises()
    }
    expect(screen.done.value).toBe(true)
    const { find, measure, set, prove } = screen.moves.value
    expect([find, measure, set, prove].every(n => n > 0)).toBe(true)
    screen.finish()
    expect(screen.marked.value!.valves.map(v => v.inSpec)).toEqual(screen.marked.value!.valves.map(() => true))
    expect(screen.marked.value!.marks.filter(m => m.grade === 'dangerous')).toEqual([])
    expect(screen.steps.value.length).toBeGreaterThan(0)
    // what is marked cannot be worked on
    const { crankDeg } = screen
    const before = crankDeg.value
    screen.turn(30)
    expect(crankDeg.value).toBe(before)
    end()
  })
  it('hands over the tool that the next thing wants', async () => {
    const { it: screen, end } = begun()
    const hand = new VirtualHand(screen.run.value!.drawn.virtual)
    const seen = new Set<string>()
    for (let i = 0; i < 40 && !screen.next.value!.trial; i++) {
      answerOnce(screen, hand)
      await flushPromises()
      seen.add(screen.tool.value)
    }
    expect(screen.tool.value).toBe('blade')
    expect(screen.bladesMm.value).toEqual(screen.next.value!.trial!.stack.engravedMm)
    expect(screen.valveId.value).toBe(screen.next.value!.trial!.valveId)
    end()
  })
  it('a feel that was not felt is not taken: the blade goes in first', async () => {
    const { it: screen, end } = begun()
    const hand = new VirtualHand(screen.run.value!.drawn.virtual)
    for (let i = 0; i < 40 && !screen.next.value!.trial; i++) {
      answerOnce(screen, hand)
      await flushPromises()
    }
    const before = screen.run.value!.log.length
    screen.press(1)
    expect(screen.told.value).toBe('Slide the blade in first: take the Blade tool.')
    expect(screen.run.value!.log).toHaveLength(before)
    end()
  })
  it('a blade in the gap holds the crank; without one it turns, and kicks on when let go past compression', () => {
    const { it: screen, end } = begun()
    const before = screen.crankDeg.value
    screen.bladeIn.value = true
    screen.turn(40)
    expect(screen.crankDeg.value).toBe(before)
    screen.bladeIn.value = false
    screen.turn(40)
    expect((screen.crankDeg.value - before + 720) % 720).toBeCloseTo(40, 6)
    // turned on in small steps, a let-go crank never runs backward
    for (let i = 0; i < 40; i++) {
      const at = screen.crankDeg.value
      screen.turn(20)
      vi.advanceTimersByTime(500)
      expect((screen.crankDeg.value - at + 720) % 720).toBeGreaterThanOrEqual(20 - 1e-9)
    }
    end()
  })
  it('on demand, a hint is shown for one answer, and counts', async () => {
    const { it: screen, end } = begun({ guidance: 'on demand' })
    expect(screen.leads.value).toBe(false)
    screen.hint()
    screen.hint()
    expect(screen.leads.value).toBe(true)
    expect(screen.run.value!.acts.filter(a => a.kind === 'hint')).toHaveLength(1)
    answerOnce(screen, new VirtualHand(screen.run.value!.drawn.virtual))
    await flushPromises()
    screen.finish()
    expect(screen.marked.value!.hints).toBe(1)
    end()
  })
})
