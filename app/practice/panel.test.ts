import { describe, expect, it } from 'vitest'
import { jobTools } from '~~/core/job'
import { act, beginPractice, benchSays, PRACTICE_ENGINES } from '~~/core/practice'
import { ownWords } from './own-words'
import { practicePanel, stageOf, wantedInHand } from './panel'

const kind = PRACTICE_ENGINES[0]!
const begun = (seed = 7, level: 1 | 4 = 1) =>
  beginPractice({ kind, level, seed, guidance: 'on' }, drawn => jobTools(drawn.pin))
/** An engine that comes in warm, which some seeds draw. */
function warm() {
  for (let seed = 1; seed < 400; seed++) {
    const run = begun(seed, 4)
    if (run.drawn.virtual.headC > kind.engine.coldLimitC) return run
  }
  throw new Error('No seed draws a warm head.')
}
const own = ownWords(kind.engine, 'crank', kind.engine.valves[0]!.id, {
  turnedDeg: 0,
  sinceLockDeg: 0,
  window: true,
  rod: true,
  downMm: 0,
})

describe('the panel of a practice engine', () => {
  it('asks how warm the head is before it leads on, with no key that opens a form', () => {
    const run = warm()
    const next = benchSays(run)
    expect(next.stage.kind).toBe('cold')
    expect(practicePanel(next, true, own, 'crank', null).instruction).toBe('How warm is the head?')
    act(run, { kind: 'wait', hours: 6 })
    act(run, { kind: 'warmth' })
    const led = practicePanel(benchSays(run), true, own, 'crank', null)
    expect(led.keys.length).toBeGreaterThan(0)
    expect(led.keys.every(k => k.happening || k.asks === 'shim-read')).toBe(true)
  })
  it('gives four feels for a blade to whoever goes without guidance', () => {
    const next = benchSays(begun())
    expect(practicePanel(next, false, own, 'blade', null).keys.map(k => k.title)).toEqual([
      'Free',
      'Drag',
      'Pinched',
      'No-go',
    ])
    expect(practicePanel(next, false, own, 'crank', null).keys).toEqual(own.keys)
  })
  it('hands over the rockers where they are to be felt, and the rod where no mark is to be seen', () => {
    const run = begun()
    act(run, { kind: 'warmth' })
    for (let i = 0; i < 12; i++) {
      const next = benchSays(run)
      const { tool, valveId } = wantedInHand(next, run, true)
      if (next.stage.kind === 'wheel' && next.stage.feelValveIds.length) {
        expect([tool, valveId]).toEqual(['rockers', next.stage.feelValveIds[0]])
        return
      }
      if (next.stage.kind === 'wheel') expect(wantedInHand(next, run, false).tool).toBe('rod')
      const key = next.keys.find(k => k.happening)!
      act(run, { kind: 'said', type: key.happening!.type, payload: key.happening!.payload })
    }
    throw new Error('No rocker was ever to be felt.')
  })
  it('counts an answer for the stage that it was given in; the end counts for the proof', () => {
    const run = begun()
    expect(stageOf(benchSays(run))).toBe('find')
    expect(stageOf({ ...benchSays(run), step: 'close' })).toBe('prove')
    expect(stageOf({ ...benchSays(run), step: 'measure' })).toBe('measure')
  })
})
