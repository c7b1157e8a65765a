import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { twinOf } from '../../tests/support/engines'
import { type Engine, type Place, placeAngle } from '../engine'
import { randomOf } from '../practice'
import { topPlaces } from '../stops'
import { locate, type Noted, type Observation, positionModel } from '.'

const wrap = (deg: number) => ((deg % 720) + 720) % 720
/** Base circles and ramps of the default cam by local angle, written out here. */
const closedAt = (role: string, local: number): boolean => {
  const [from, to] = role === 'intake' ? [320, 615] : [105, 400]
  return wrap(local) < from || wrap(local) >= to
}
const onRamp = (role: string, local: number): boolean => {
  const [from, to] = role === 'intake' ? [320, 615] : [105, 400]
  const d = wrap(local)
  return (d >= from && d < from + 30) || (d >= to - 30 && d < to)
}

/** A hand at an engine that errs as often as hands do, and a record of what was said of each valve and what was so. */
class ErringHand {
  private crank: number
  private readonly none: Set<string>
  constructor(
    readonly engine: Engine,
    private readonly roll: () => number,
  ) {
    this.crank = roll() * 720
    this.none = new Set(engine.valves.filter(v => roll() < (v.role === 'intake' ? 0.04 : 0.08)).map(v => v.id))
  }

  private gauss = (): number => Math.sqrt(-2 * Math.log(1 - this.roll())) * Math.cos(2 * Math.PI * this.roll())
  private local = (valveId: string): number =>
    this.crank -
    this.engine.cylinders.find(c => c.id === this.engine.valves.find(v => v.id === valveId)!.cylinderId)!.firingAngleDeg
  private role = (valveId: string): string => this.engine.valves.find(v => v.id === valveId)!.role
  closed = (valveId: string): boolean => [-10, 10].every(off => closedAt(this.role(valveId), this.local(valveId) + off))

  feel(valveId: string): Observation {
    const chance = this.none.has(valveId)
      ? 0.02
      : closedAt(this.role(valveId), this.local(valveId))
        ? 0.97
        : onRamp(this.role(valveId), this.local(valveId))
          ? 0.5
          : 0.01
    return { kind: 'rocker', valveId, slack: this.roll() < chance }
  }

  turnOn(to: Place): Observation {
    const at = placeAngle(this.engine, to)
    const aimed = this.roll() < 0.03 ? at - 14 : at
    this.crank = wrap(this.crank + 7 + ((((aimed - this.crank - 7) % 360) + 360) % 360) + 2 * this.gauss())
    return { kind: 'move', to }
  }

  turnBy(deg: number): Observation {
    this.crank = wrap(this.crank + deg + 3 * Math.sqrt(deg / 360) * this.gauss())
    return { kind: 'turn', deg }
  }
}

describe('when it says 90 in 100, it is so 90 times in 100', () => {
  it.each<[string, Engine]>([
    ['single', engineOf()],
    ['360° twin', twinOf(360)],
    ['180° twin', twinOf(180)],
    ['90° V', twinOf(270)],
  ])(
    '%s, on hands that err as hands do',
    (_, engine) => {
      const roll = randomOf(20261125)
      const model = positionModel(engine)
      const tops = topPlaces(engine)
      const bins = Array.from({ length: 5 }, () => ({ said: 0, so: 0, count: 0 }))
      const settled = { count: 0, wrong: 0 }
      for (let run = 0; run < 100; run++) {
        const hand = new ErringHand(engine, roll)
        const said: Observation[] = []
        for (let move = 0; move < 3; move++) {
          said.push(
            roll() < 0.3 ? hand.turnBy(30 + roll() * 300) : hand.turnOn(tops[Math.floor(roll() * tops.length)]!),
          )
          for (const valve of engine.valves) if (roll() < 0.6) said.push(hand.feel(valve.id))
        }
        const position = locate(
          model,
          said.map((observation, i): Noted => ({ id: `o${i}`, observation })),
        )
        for (const { id } of engine.valves) {
          const p = position.closed[id]!
          const bin = bins[Math.min(4, Math.floor(p * 5))]!
          bin.said += p
          bin.so += Number(hand.closed(id))
          bin.count++
        }
        if (position.standing.kind === 'settled') {
          settled.count++
          settled.wrong += Number(!position.standing.stop.valves.every(v => hand.closed(v.valveId)))
        }
      }
      // three standard errors of so many throws, and a twentieth for what the grid and the edges round off
      for (const { said, so, count } of bins)
        if (count >= 30) expect(Math.abs(said - so) / count).toBeLessThan(3 * Math.sqrt(0.25 / count) * 0.7 + 0.05)
      expect(settled.count).toBeGreaterThan(8)
      expect(settled.wrong / settled.count).toBeLessThan(0.1)
    },
    30_000,
  )
})
