import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { twinOf } from '../../tests/support/engines'
import { playByBench } from '../../tests/support/practice-hand'
import { signedWay } from '../engine'
import {
  addRun,
  camLiftMm,
  drawEngine,
  emptyTally,
  feelOf,
  isFailure,
  isTrulyClosed,
  kickDeg,
  LEVELS,
  leastAnswers,
  liftedMm,
  markRun,
  marksSeen,
  pastTopDeg,
  pistonBelowTopMm,
  PRACTICE_ENGINES,
  type PracticeStart,
  pullN,
  replayRun,
  type Replayed,
  roomMm,
  runRobot,
  trueCam,
  turnCrank,
  turnToPlace,
  turnScrew,
  valveSeen,
  virtualEngine,
  workNut,
} from './index'

const T = { kind: 'mark', markIndex: 0 } as const
const exhaustAt = (deg: number, setup = {}) => {
  const v = virtualEngine(engineOf(), { crankDeg: deg, ...setup })
  return { lifted: liftedMm(v, 'exhaust'), closed: isTrulyClosed(v, 'exhaust'), v }
}

describe('the virtual engine moves as engines do', () => {
  // stroke 57.8, rod 100: common practice, computed apart from this code; formula Heywood, ch. 2
  it.each([
    [57.8, 100, 6.35, 34.3],
    [57.8, 100, 0.05, 3.0],
    [73, 125, 6.35, 30.3],
  ])('stroke %d, rod %d: %d mm down is %d° past top', (strokeMm, rodMm, down, deg) => {
    expect(pastTopDeg({ strokeMm, rodMm }, down)).toBeCloseTo(deg, 1)
  })
  it('its piston obeys the law of cosines in the triangle of crank, rod and bore', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 100, noNaN: true }),
        fc.double({ min: 0, max: 720, noNaN: true }),
        (strokeMm, deg) => {
          const [a, l] = [strokeMm / 2, strokeMm * 1.8]
          const gudgeon = a + l - pistonBelowTopMm({ strokeMm, rodMm: l }, deg)
          expect(a * a + gudgeon * gudgeon - 2 * a * gudgeon * Math.cos((deg * Math.PI) / 180)).toBeCloseTo(l * l, 6)
        },
      ),
    ))
  it('a cam has its check lift at its events, none off its ramps, and its most between (closed arcs of the default cam: judgement’s own figures)', () => {
    const cam = trueCam(engineOf(), 'exhaust')
    // EVO 45 before BDC and EVC 10 after TDC at 1 mm, with ramps of 30°: shut from 400 to 105 of the next cycle
    expect([135, 370].map(deg => camLiftMm(cam, deg))).toEqual([expect.closeTo(1, 6), expect.closeTo(1, 6)])
    expect([104.9, 400.1, 0, 719].map(deg => camLiftMm(cam, deg))).toEqual([0, 0, 0, 0])
    expect(camLiftMm(cam, 252.5)).toBeCloseTo(57.8 * 0.11, 6)
    expect([106, 120, 399].every(deg => camLiftMm(cam, deg) > 0 && camLiftMm(cam, deg) < 1)).toBe(true)
  })
  it('an exhaust is shut at compression TDC and lifted at the overlap, whatever the cylinder fires at', () => {
    expect([exhaustAt(0).closed, exhaustAt(360).closed]).toEqual([true, false])
    const twin = virtualEngine(twinOf(180), { crankDeg: 180 })
    expect(['l-exhaust', 'r-exhaust'].map(id => isTrulyClosed(twin, id))).toEqual([false, true])
  })
  it('a decompressor lets go slowly: at T it can leave play and still falsify a reading, past top it is gone', () => {
    const held = { role: 'exhaust' as const, cylinderId: null, fromDeg: -120, toDeg: 10, liftMm: 0.2 }
    const at = (deg: number) => virtualEngine(engineOf(), { crankDeg: deg, held, gapMm: { exhaust: 0.12 } })
    expect(feelOf(at(0), { kind: 'rocker', valveId: 'exhaust' }).slack).toBe(true)
    expect(roomMm(at(0), 'exhaust')).toBeCloseTo(0.07, 6)
    expect(feelOf(at(0), { kind: 'blade', valveId: 'exhaust', engravedMm: [0.1], thickMm: 0.1 }).feel).toBe('no-go')
    expect(roomMm(at(34), 'exhaust')).toBeCloseTo(0.12, 6)
  })
  it('a chain turned back leaves the cam behind until it is turned on again', () => {
    const { v } = exhaustAt(100, { nature: { chainSlackDeg: 10 } })
    turnCrank(v, -6)
    expect([v.crankDeg, v.camAheadDeg]).toEqual([94, 6])
    turnCrank(v, -30)
    expect(v.camAheadDeg).toBe(10)
    turnCrank(v, 40)
    expect(v.camAheadDeg).toBe(0)
  })
  it('a screw turns only when its nut is loose, closes clockwise, and its lock creeps', () => {
    const { v } = exhaustAt(0, { nature: { creepMm: -0.02 } })
    expect(turnScrew(v, 'exhaust', 90)).toBe(false)
    workNut(v, 'exhaust', 'loose')
    turnScrew(v, 'exhaust', 48)
    expect(v.gapMm.exhaust).toBeCloseTo(0.02, 6)
    workNut(v, 'exhaust', 'nipped')
    workNut(v, 'exhaust', 'locked')
    expect(v.gapMm.exhaust).toBeCloseTo(0, 6)
  })
})

describe('what hand and eye are told', () => {
  const at = (gap: number, deg = 0) => virtualEngine(engineOf(), { crankDeg: deg, gapMm: { intake: gap } })
  // bands common practice; figures from memory
  it.each([
    [0.08, 'no-go', 15],
    [0.0905, 'pinched', 11],
    [0.1, 'drag', 3],
    [0.1149, 'drag', 0.6],
    [0.116, 'free', 0.2],
  ] as const)('a gap of %d under a 0.10 blade is %s', (gap, feel, newtons) => {
    const felt = feelOf(at(gap), { kind: 'blade', valveId: 'intake', engravedMm: [0.1], thickMm: 0.1 })
    expect(felt.feel).toBe(feel)
    expect(Math.abs(felt.forceN - newtons)).toBeLessThan(0.7)
  })
  it('the pull never falls as the room gets less', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -0.03, max: 0.05, noNaN: true }),
        fc.double({ min: 0, max: 0.02, noNaN: true }),
        (room, less) => pullN(room - less) >= pullN(room),
      ),
    ))
  it('a blade off its engraving is felt as thick as it is', () => {
    const v = virtualEngine(engineOf(), { crankDeg: 0, gapMm: { intake: 0.1 }, nature: { bladeOffMm: { 0.1: 0.004 } } })
    expect(feelOf(v, { kind: 'blade', valveId: 'intake', engravedMm: [0.1], thickMm: 0.1 }).feel).toBe('pinched')
  })
  it('a warm exhaust reads tighter than it is', () =>
    expect(
      roomMm(virtualEngine(engineOf(), { crankDeg: 0, headC: 58, gapMm: { exhaust: 0.12 } }), 'exhaust'),
    ).toBeLessThan(0.09))
  it('the window shows what is near its pointer, the next to come first', () => {
    expect(marksSeen(at(0.1, 350)).map(m => [m.letter, m.atPointer])).toEqual([
      ['T', false],
      ['F', false],
    ])
    expect(marksSeen(at(0.1, 1)).find(m => m.letter === 'T')).toMatchObject({ atPointer: true, offDeg: -1 })
    expect(marksSeen(at(0.1, 180))).toEqual([])
  })
  it('a crank let go a little past compression runs on, and nowhere else', () => {
    expect([8, 712, 0, 3, 20, 368].map(deg => kickDeg(at(0.1, deg)))).toEqual([6, 0, 0, 0, 0, 0])
  })
  it('an eye sees which way a valve goes', () =>
    expect([0, 120, 252, 380].map(deg => valveSeen(at(0.1, deg), 'exhaust'))).toEqual([
      'shut',
      'going down',
      'down',
      'coming back',
    ]))
  it('“on until T” is the next one at least a finger’s width ahead', () => {
    const v = at(0.1, 356)
    turnToPlace(v, T)
    expect(v.crankDeg).toBeCloseTo(0, 6)
  })
})

const startOf = (level: 1 | 2 | 3 | 4, seed = 5, id = 'single'): PracticeStart => ({
  kind: PRACTICE_ENGINES.find(k => k.id === id)!,
  level,
  seed,
  guidance: 'on',
})
const slips = (start: PracticeStart, acts: Parameters<typeof markRun>[1]) =>
  markRun(start, acts).marks.filter(m => m.grade !== 'right')

describe('a practice run is marked', () => {
  it.each(PRACTICE_ENGINES.filter(k => k.id !== 'shimmed').map(k => k.id))(
    '%s: done by the Bench it has every valve in spec and full marks',
    id => {
      const start = startOf(1, 3, id)
      const { acts } = playByBench(start)
      expect(slips(start, acts)).toEqual([])
      const marked = markRun(start, acts)
      expect(marked.score).toBe(100)
      expect(marked.valves.every(v => v.inSpec)).toBe(true)
      expect(marked.stages.map(s => s.moves)).toEqual(Object.values(leastAnswers(start)))
    },
  )
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
    expect(marks.some(m => m.words.startsWith('Wrong stroke: the exhaust was measured at 3'))).toBe(true)
    expect(marks.find(m => m.grade === 'dangerous')!.truth).toMatch(
      /held \d.\d\d mm open: it would be set that much too loose/,
    )
    expect(marks.some(m => m.words === 'The exhaust locknut was left loose')).toBe(true)
    expect(markRun(start, wrong).valves.find(v => v.valveId === 'only-exhaust')!.effect).toMatch(/valve drops/)
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
      ).some(m => /full turn/.test(m.words)),
    ).toBe(true)
  })
  it('an answer without feeling, a warm head and a hint are counted', () => {
    const warm = startOf(4, 2)
    const said = {
      kind: 'said',
      type: 'trial',
      payload: { valveId: 'only-intake', bladesMm: [0.1], feel: 'drag', after: null },
    } as const
    const marks = slips(warm, [said]).map(m => m.words)
    expect(marks.some(w => w === '0.10 was named without sliding it in')).toBe(true)
    expect(marks.some(w => /^Measured at \d\d °C$/.test(w))).toBe(true)
    const start = startOf(1)
    const { acts } = playByBench(start)
    expect(markRun(start, [...acts, { kind: 'hint' }]).score).toBe(98)
  })
  it('the same start gives the same engine, another seed another one, on each level', () => {
    for (const level of LEVELS) {
      const [a, b, c] = [7, 7, 8].map(seed => playByBenchless(level, seed))
      expect(a).toEqual(b)
      expect(a).not.toEqual(c)
    }
  })
})
const playByBenchless = (level: 1 | 2 | 3 | 4, seed: number) =>
  markRun(startOf(level, seed), []).valves.map(v => v.gapMm)

describe('the robot mechanic', () => {
  it('drawn engines of every kind end signed, with every valve truly in spec and nothing false said', () => {
    const tally = emptyTally()
    for (const { id } of PRACTICE_ENGINES)
      for (let seed = 1; seed <= 4; seed++) {
        const run = runRobot(seed, { wrongShare: 0, kindId: id })
        expect(isFailure(run), `${id}, seed ${seed}: ${JSON.stringify({ ...run, closed: null })}`).toBe(false)
        addRun(tally, run)
      }
    expect([tally.stuck, tally.falseIn, tally.heldTaken, tally.outOfSpec]).toEqual([0, 0, 0, 0])
    expect(tally.runs).toBe(PRACTICE_ENGINES.length * 4)
  }, 60_000)
  // each of these failed once
  it.each([
    [266, 0, 'went between two stops for ever, for a valve that refused the thinnest blade'],
    [2439, 0.03, 'turned a screw at a stop that did not serve its valve'],
    [285, 0.03, 'set an exhaust on its decompressor after two turns that ended short'],
  ])('seed %d with %d wrong: it once %s', (seed, wrongShare) => {
    const run = runRobot(seed, { wrongShare })
    expect({ stuck: run.stuck, out: run.outOfSpec, falseIn: run.falseIn, held: run.heldTaken }).toEqual({
      stuck: null,
      out: [],
      falseIn: [],
      held: [],
    })
  })
  it('a seed tells the same story twice', () => {
    const story = (seed: number) => runRobot(seed, { wrongShare: 0.03, trace: true }).story
    expect(story(11)).toEqual(story(11))
    expect(drawEngine(11).virtual).toEqual(drawEngine(11).virtual)
  })
})
