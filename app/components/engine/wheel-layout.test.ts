import { describe, expect, it } from 'vitest'
import { closedArcs } from '~~/core/engine'
import { say } from '~~/core/said'
import { planStops } from '~~/core/stops'
import { engineOf } from '~~/tests/support/builders'
import { fourValveSingle, twinOf } from '~~/tests/support/engines'
import {
  assumedEnds,
  bandRing,
  bandsFor,
  bandValves,
  C,
  degreesShown,
  discRadius,
  labelAt,
  letterAt,
  lobesOf,
  marginArcs,
  RIM,
  strokeMiddles,
  TRACK,
} from './wheel-layout'

const arc = (startDeg: number, sweepDeg: number, probability: number) => ({
  startDeg,
  sweepDeg,
  probability,
  peakDeg: startDeg + sweepDeg / 2,
  name: say('found.label'),
})

describe('what stands where on the cycle wheel', () => {
  it.each([1, 2, 4, 8])('%i bands lie inside one another, clear of the track and of the cylinder', count => {
    const rings = Array.from({ length: count }, (_, i) => bandRing(i, count))
    expect(rings[0]!.outer).toBeLessThan(TRACK)
    rings.slice(1).forEach((ring, i) => expect(ring.outer).toBeLessThan(rings[i]!.inner))
    expect(discRadius(count)).toBeLessThan(rings.at(-1)!.inner)
    expect(discRadius(count)).toBeGreaterThan(60)
  })
  it('two intakes of a cylinder share a band; those of another do not', () => {
    expect(bandValves(fourValveSingle())).toHaveLength(2)
    expect(bandValves(twinOf(180))).toHaveLength(4)
  })
  it('of a four shows the valves of the stop that is looked for, and no others', () => {
    const four = engineOf({
      cylinders: [0, 180, 360, 540].map((firingAngleDeg, i) => ({ id: `${i}`, name: `${i + 1}`, firingAngleDeg })),
      valves: [0, 1, 2, 3].flatMap(i =>
        (['intake', 'exhaust'] as const).map(role => ({
          id: `${i}-${role}`,
          cylinderId: `${i}`,
          role,
          name: `${i + 1} ${role}`,
          headX: 0.5,
          headY: 0.5,
        })),
      ),
    })
    const [stop] = planStops(four).stops
    expect(bandsFor(four, stop!).map(v => v.id)).toEqual(stop!.valves.map(v => v.valveId))
    expect(bandsFor(four, null)).toHaveLength(8)
    expect(bandsFor(twinOf(180), planStops(twinOf(180)).stops[0]!)).toHaveLength(4)
  })
  it('a degree figure gives way to the letter of a top mark, at either turn', () => {
    const mark = { letter: 'T', angleDeg: 0, kind: 'top' as const, cylinderId: null }
    expect(degreesShown([])).toContain(360)
    expect(degreesShown([{ ...engineOf().marks[0]!, ...mark }])).toEqual([90, 180, 270, 450, 540, 630])
  })
  it('a long letter stands beside its tick on the flanks, and never over the rim', () => {
    expect(letterAt(0, 'LT').anchor).toBe('middle')
    expect(letterAt(180, 'LT').anchor).toBe('start')
    expect(letterAt(540, 'LT').anchor).toBe('end')
    for (let deg = 0; deg < 720; deg += 15) {
      const { x, y } = letterAt(deg, 'T')
      expect(Math.hypot(x - C.x, y - 6 - C.y)).toBeGreaterThan(RIM + 11)
    }
  })
  it('the strokes of a cylinder follow its own firing, power after its top', () => {
    const twin = twinOf(180)
    const [first, second] = twin.cylinders
    expect(strokeMiddles(twin, first!.id)[0]).toBe((90 + first!.firingAngleDeg) % 720)
    expect(strokeMiddles(twin, second!.id)[0]).toBe((90 + second!.firingAngleDeg) % 720)
  })
  it('a band’s name stands in the middle of its longest piece, apart from its neighbor’s on a twin', () => {
    const arcs = [
      { startDeg: 0, sweepDeg: 40 },
      { startDeg: 100, sweepDeg: 200 },
    ]
    expect(labelAt(arcs, 0, false)).toBe(200)
    expect(Math.abs(labelAt(arcs, 0, true) - labelAt(arcs, 1, true))).toBe(92)
  })
})

describe('where the crank may stand', () => {
  const strokes = [90, 270, 450, 630]
  it('is drawn nowhere while it may be anywhere, and at four places at most', () => {
    expect(lobesOf([arc(0, 720, 1)], strokes)).toEqual([])
    expect(
      lobesOf(
        [10, 100, 200, 300, 400].map(d => arc(d, 20, 0.2)),
        strokes,
      ),
    ).toHaveLength(4)
  })
  it('is the higher the likelier, the first of them the likeliest', () => {
    const tops = lobesOf([arc(350, 20, 0.8), arc(710, 20, 0.2)], strokes).map(({ path, likeliest }) => ({
      likeliest,
      height: Math.max(
        ...path.match(/-?[\d.]+ -?[\d.]+/g)!.map(p => {
          const [x, y] = p.split(' ').map(Number) as [number, number]
          return Math.hypot(x - C.x, y - C.y)
        }),
      ),
    }))
    expect(tops.map(t => t.likeliest)).toEqual([true, false])
    expect(tops[0]!.height).toBeGreaterThan(tops[1]!.height)
    expect(tops[1]!.height).toBeGreaterThan(TRACK)
  })
  it.each([0, 90, 180, 355, 540, 700])('its figure at %i° stands clear of every stroke’s name', deg => {
    const { words } = lobesOf([arc(deg - 10, 20, 1)], strokes)[0]!
    const at = (Math.atan2(words.x - C.x, C.y - words.y) * 360) / Math.PI
    for (const stroke of strokes) {
      const off = Math.abs(((((at - stroke) % 720) + 1080) % 720) - 360)
      expect(off).toBeGreaterThan(30)
    }
  })
})

describe('what a model shows at rest', () => {
  it('a stop’s measured arc ends where a valve of it begins to open', () => {
    const engine = engineOf()
    const [stop] = planStops(engine).stops
    const [drawn] = marginArcs([stop!])
    const least = (side: 'beforeDeg' | 'afterDeg') => Math.min(...stop!.valves.map(v => v[side]), 170)
    expect(drawn!.ends.map(e => e.deg)).toEqual([-least('beforeDeg'), least('afterDeg')])
  })
  it('marks both ends of each closed arc only where the cam timing is assumed', () => {
    const cam = {
      checkLiftMm: 1,
      intakeOpensBeforeTdcDeg: 10,
      intakeClosesAfterBdcDeg: 40,
      exhaustOpensBeforeBdcDeg: 45,
      exhaustClosesAfterTdcDeg: 10,
    }
    expect(assumedEnds(engineOf({ cam }))).toEqual([])
    const assumed = engineOf({ cam: null })
    const pieces = bandValves(assumed).reduce((sum, v) => sum + closedArcs(assumed)[v.id]!.length, 0)
    expect(assumedEnds(assumed)).toHaveLength(pieces * 2)
  })
})
