import { describe, expect, it } from 'vitest'
import { say } from '~~/core/said'
import { engineOf } from '~~/tests/support/builders'
import { twinOf } from '~~/tests/support/engines'
import { headWords, ruleWords, slotWords, wheelWords } from './picture-words'

const arc = (peakDeg: number, probability: number) => ({
  startDeg: peakDeg - 10,
  sweepDeg: 20,
  peakDeg,
  probability,
  name: say('likely.anywhere'),
})
const stop = { crankDeg: 0, place: { kind: 'mark', markIndex: 0 }, valves: [] } as never

describe('what a picture shows, for who does not see it', () => {
  it('the wheel names every place that is left, with its chance: 48 against 47 is not “most likely”', () => {
    const words = wheelWords([arc(0, 0.48), arc(360, 0.47), arc(180, 0.01)], stop, false)
    expect(words).toMatch(/0°, .+ \(48 percent\), or at 360°, .+ \(47 percent\)/)
    expect(words).not.toContain('180°')
    expect(words).toContain('The stop is at 0°.')
  })
  it('one place that is left needs no chance', () => {
    expect(wheelWords([arc(0, 0.97)], stop, true)).toMatch(
      /^Cycle wheel: the crank is at 0°, [^(]+\. It is at the stop\.$/,
    )
  })
  it('the head says which valves lie on which side, from left to right', () => {
    expect(headWords(engineOf())).toMatch(/Muffler side: Exhaust\. Carburetor side: Intake\.$/)
    expect(headWords(twinOf(360))).toMatch(/Muffler side: Left exhaust, right exhaust\. /i)
  })
  it('the rule says limits, aim, blades and what they come to', () => {
    const limits = { minMm: 0.1, maxMm: 0.15, targetMm: 0.125 }
    expect(ruleWords({ ...limits, reading: null, verdict: 'not measured' })).toBe(
      'Limits 0.10 to 0.15 mm, aim 0.125. Gap not measured.',
    )
    const tried = [
      { mm: 0.13, feel: 'drag' as const },
      { mm: 0.15, feel: 'no-go' as const },
    ]
    expect(ruleWords({ ...limits, reading: { loMm: 0.13, hiMm: 0.145 }, verdict: 'in', trials: tried })).toBe(
      'Limits 0.10 to 0.15 mm, aim 0.125. Tried: 0.13 drag, 0.15 no-go. The gap is 0.13 to 0.145 mm: in.',
    )
    expect(ruleWords({ ...limits, reading: { loMm: 0.2, hiMm: null }, verdict: 'loose' })).toContain(
      'The gap is 0.20 mm or more: loose.',
    )
  })
  it('the slot says where it points, how far to turn, what was tried and where the answer lies', () => {
    expect(
      slotWords({
        slotDeg: -30,
        turnDeg: -40,
        tries: [{ deg: 0, side: 'tight', words: 'as found' }],
        bracket: { fromDeg: 290, toDeg: 320 },
      }),
    ).toBe(
      'Screw from above: the mark is at 330° on the clock. Turn it 40° counterclockwise. At 0°: as found. ' +
        'The answer lies between 290° and 320°.',
    )
  })
})
