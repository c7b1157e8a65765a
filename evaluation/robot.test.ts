import { describe, expect, it } from 'vitest'
import { drawEngine, PRACTICE_ENGINES } from '../core/practice'
import { addRun, emptyTally, isFailure, runRobot } from './index'

describe('the robot mechanic', () => {
  it.each(PRACTICE_ENGINES.map(k => k.id))(
    'drawn engines, %s: each ends signed, with every valve truly in spec and nothing false said',
    id => {
      const tally = emptyTally()
      for (let seed = 1; seed <= 4; seed++) {
        const run = runRobot(seed, { wrongShare: 0, kindId: id })
        expect(isFailure(run), `seed ${seed}: ${JSON.stringify({ ...run, closed: null })}`).toBe(false)
        addRun(tally, run)
      }
      expect([tally.stuck, tally.falseIn, tally.heldTaken, tally.outOfSpec, tally.runs]).toEqual([0, 0, 0, 0, 4])
    },
  )
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
