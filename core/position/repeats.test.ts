import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { locate, type Observation, positionModel } from './index'

const model = positionModel(engineOf({ decompressor: { kind: 'unknown' } }))
const T = { kind: 'mark', markIndex: 0 } as const
const PAST = { kind: 'rod-drop', cylinderId: 'only', dropMm: 6 } as const
const on = (to: typeof T | typeof PAST): Observation => ({ kind: 'move', to })
const feel = (valveId: string, slack: boolean): Observation => ({ kind: 'rocker', valveId, slack })
const found = (...observations: Observation[]) =>
  locate(
    model,
    observations.map((observation, i) => ({ id: String(i), observation })),
  )
const onT = [on(T), feel('intake', true), feel('exhaust', false)]

describe('a rocker felt again at the same place, the crank having come round', () => {
  const round: Observation = { kind: 'turns', turns: 2, to: T }
  it('counts once, however often it is repeated', () => {
    const once = found(...onT, round)
    const often = found(...onT, round, feel('intake', true), feel('exhaust', false), round, feel('exhaust', false))
    expect(often.noClearance.exhaust).toBeCloseTo(once.noClearance.exhaust!, 2)
    expect(often.decompressor).toBeCloseTo(once.decompressor, 2)
  })
  it('counts by whatever places it came round', () => {
    // T, past top, T, T: the last is two turns on from the first
    const way = [...onT, on(PAST), on(T), on(T)]
    const [again, before] = [found(...way, feel('exhaust', false)), found(...way)]
    expect(again.noClearance.exhaust).toBeCloseTo(before.noClearance.exhaust!, 2)
  })
  it('tells all the same that the crank came back to that place', () => {
    const strayed = (position: ReturnType<typeof found>) =>
      position.belief.mass.reduce((sum, p, i) => {
        const deg = ((i % 1440) / 2) % 360
        return sum + (deg > 30 && deg < 330 ? p : 0)
      }, 0)
    const back: Observation[] = [...onT, feel('intake', true), { kind: 'turns', turns: 2, to: T }]
    expect(strayed(found(...back, feel('intake', true)))).toBeLessThan(strayed(found(...back)))
  })
  it('counts as new on the other turn, felt otherwise, or after its screw was set', () => {
    const say = (...more: Observation[]) => found(...onT, ...more).noClearance.exhaust
    const oneTurn: Observation = { kind: 'turns', turns: 1, to: T }
    expect(say(oneTurn, feel('exhaust', false))).not.toBe(say(oneTurn))
    expect(say(round, feel('exhaust', true))).not.toBe(say(round))
    const set: Observation = { kind: 'screw-set', valveId: 'exhaust' }
    const held = (...more: Observation[]) => found(...onT, set, round, ...more).decompressor
    expect(held(feel('exhaust', false))).not.toBe(held())
  })
  it('counts as new where nobody watched the crank in between', () => {
    const lost: Observation[] = [{ kind: 'lost' }, on(T)]
    expect(found(...onT, ...lost, feel('exhaust', false)).noClearance.exhaust).not.toBe(
      found(...onT, ...lost).noClearance.exhaust,
    )
  })
})
