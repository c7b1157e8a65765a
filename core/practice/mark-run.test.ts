import { describe, expect, it } from 'vitest'
import { playByBench } from '../../tests/support/practice-hand'
import { tellEnglish } from '../../words'
import { signedWay } from '../engine'
import { drawPractice, LEVELS, markRun, PRACTICE_ENGINES, type PracticeStart, type Replayed, replayRun } from './index'

const startOf = (level: 1 | 2 | 3 | 4, seed = 5, id = 'single'): PracticeStart => ({
  kind: PRACTICE_ENGINES.find(k => k.id === id)!,
  level,
  seed,
  guidance: 'on',
})
const slips = (start: PracticeStart, acts: Parameters<typeof markRun>[1]) =>
  markRun(start, acts).marks.filter(m => m.grade !== 'right')
const gapsOf = (level: 1 | 2 | 3 | 4, seed: number) => drawPractice(startOf(level, seed)).virtual.gapMm

describe('a practice run is marked', () => {
  it('the wrong stroke is named, the screw turned there is dangerous, and what it does to the engine is said', () => {
    const start = startOf(2)
    // the whole turn that leads to compression is said and not made
    const acts = playByBench(start).acts
    const first = acts.findIndex(a => a.kind === 'said' && a.type === 'crank')
    const wrong = [
      ...acts.slice(0, first + 1),
      {
        kind: 'said',
        type: 'trial',
        payload: { valveId: 'only-exhaust', bladesMm: [0.12], feel: 'no-go', after: null },
      },
      { kind: 'nut', valveId: 'only-exhaust', to: 'loose' },
      { kind: 'screw', valveId: 'only-exhaust', deg: -180 },
    ] as typeof acts
    const marks = slips(start, wrong)
    expect(marks.some(m => tellEnglish(m.words).startsWith('Wrong stroke: you measured the exhaust at 3'))).toBe(true)
    expect(tellEnglish(marks.find(m => m.grade === 'dangerous')!.truth)).toMatch(
      /was \d.\d\d mm open, so it would be set that much too loose/,
    )
    expect(marks.some(m => tellEnglish(m.words) === 'You left the exhaust adjuster loose')).toBe(true)
    expect(markRun(start, wrong).valves.find(v => v.valveId === 'only-exhaust')!.effect.say).toBe('mark.effect.nut')
    expect(markRun(start, wrong).score).toBeLessThan(30)
  })
  it('done over again, each step shows where the answers put the crank and where it stood: together when told truly, a turn apart when not', () => {
    const start = startOf(1)
    const { acts } = playByBench(start)
    const apart = (steps: Replayed[]) =>
      steps.filter(s => s.act >= 0).map(s => Math.abs(signedWay(s.view.position.peakDeg, s.crankDeg)))
    const truly = replayRun(start, acts)
    expect(Math.max(...apart(truly.filter(s => s.view.position.standing.kind === 'settled')))).toBeLessThan(15)
    for (const v of truly.at(-1)!.valves)
      expect([v.believed!.loMm <= v.trueMm + 0.005, v.trueMm < (v.believed!.hiMm ?? 9) + 0.005], v.name).toEqual([
        true,
        true,
      ])
    // from near the wrong top, the whole turn to compression is said and not made
    const other = startOf(2)
    const theirs = playByBench(other).acts
    const turned = theirs.findIndex((a, i) => i > 3 && a.kind === 'turn')
    expect(
      Math.max(
        ...apart(
          replayRun(
            other,
            theirs.filter((_, i) => i !== turned),
          ),
        ),
      ),
    ).toBeGreaterThan(180)
  })
  it('a screw that was turned leaves nothing measured of its valve until a blade tells again', () => {
    const start = startOf(1)
    const { acts } = playByBench(start)
    const steps = replayRun(start, acts)
    const screw = steps.findIndex(s => acts[s.act]?.kind === 'screw')
    const of = (i: number) =>
      steps[i]!.valves.find(v => v.valveId === (acts[steps[screw]!.act] as { valveId: string }).valveId)!
    expect(of(screw - 1).believed).not.toBeNull()
    expect(of(screw).believed).toBeNull()
    expect(of(screw).trueMm).not.toBe(of(screw - 1).trueMm)
  })
  it('a turn that was said and not made is held against it', () => {
    const start = startOf(2)
    const { acts } = playByBench(start)
    const turned = acts.findIndex((a, i) => i > 3 && a.kind === 'turn')
    expect(
      slips(
        start,
        acts.filter((_, i) => i !== turned),
      ).some(m => m.words.say === 'mark.turns'),
    ).toBe(true)
  })
  it('a drill is about finding TDC alone: found, it has all points, and nothing is said of valves', () => {
    for (const level of LEVELS) {
      const start: PracticeStart = { ...startOf(level, 2), drill: 'find' }
      const run = playByBench(start)
      expect(run.drawn.virtual.headC).toBeLessThanOrEqual(start.kind.engine.coldLimitC)
      const { score, stages, valves, marks } = markRun(start, run.acts)
      expect([score, stages.map(s => s.stage), valves]).toEqual([100, ['find'], []])
      expect(tellEnglish(marks.at(-1)!.words)).toBe('You found compression TDC')
    }
  })
  it('a drill that ends at another place, or before any was found, says where the crank truly stands', () => {
    const start: PracticeStart = { ...startOf(2), drill: 'find' }
    const { acts } = playByBench(start)
    // the whole turn that leads from the wrong top to compression is said and not made
    const turned = acts.findIndex((a, i) => i > 3 && a.kind === 'turn')
    const elsewhere = markRun(
      start,
      acts.filter((_, i) => i !== turned),
    )
    expect(tellEnglish(elsewhere.marks.at(-1)!.words)).toBe('You took another place for compression TDC')
    expect(elsewhere.score).toBeLessThan(100)
    const unfound = markRun(start, acts.slice(0, 2))
    expect(unfound.marks.at(-1)).toMatchObject({ grade: 'wrong', stage: 'find' })
    expect(tellEnglish(unfound.marks.at(-1)!.words)).toBe('Compression TDC is not found yet')
    expect(markRun(start, []).score).toBe(0)
  })
  it('an answer without feeling, a warm head and a hint are counted', () => {
    const warm = startOf(4, 2)
    const said = {
      kind: 'said',
      type: 'trial',
      payload: { valveId: 'only-intake', bladesMm: [0.1], feel: 'drag', after: null },
    } as const
    const marks = slips(warm, [said]).map(m => tellEnglish(m.words))
    expect(marks.some(w => w === 'You named 0.10 without sliding it in')).toBe(true)
    expect(marks.some(w => /^You measured at \d\d °C$/.test(w))).toBe(true)
    const start = startOf(1)
    const { acts } = playByBench(start)
    expect(markRun(start, [...acts, { kind: 'hint' }]).score).toBe(98)
  })
  it('the same start gives the same engine, another seed another one, on each level', () => {
    for (const level of LEVELS) {
      const [a, b, c] = [7, 7, 8].map(seed => gapsOf(level, seed))
      expect(a).toEqual(b)
      expect(a).not.toEqual(c)
    }
  })
})
