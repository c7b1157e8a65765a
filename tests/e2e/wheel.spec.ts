import { expect, type Page, test } from '@playwright/test'
import type { Cam, Engine } from '../../core/engine'
import { saved, signIn } from './bench'
import { BenchHand } from './hand'

const wrap = (deg: number, period = 720) => ((deg % period) + period) % period
const apart = (a: number, b: number, period = 720) =>
  Math.abs(((((a - b + period / 2) % period) + period) % period) - period / 2)
/** Timing taken where a model has none: from memory, 10/45/45/10 at 1 mm. */
const ASSUMED: Cam = {
  checkLiftMm: 1,
  intakeOpensBeforeTdcDeg: 10,
  intakeClosesAfterBdcDeg: 45,
  exhaustOpensBeforeBdcDeg: 45,
  exhaustClosesAfterTdcDeg: 10,
}

/**
 * The whole closed arc of a valve by the cam card: the ramp is 30° at 1 mm of lift; a decompressor is cut out by what
 * is drawn.
 */
function closedByCard(engine: Engine, valve: Engine['valves'][number]): [number, number] {
  const cam = engine.cam ?? ASSUMED
  const fires = engine.cylinders.find(c => c.id === valve.cylinderId)!.firingAngleDeg
  const ramp = 30 * Math.sqrt(cam.checkLiftMm!)
  const [opens, shuts] =
    valve.role === 'intake'
      ? [360 - cam.intakeOpensBeforeTdcDeg, 540 + cam.intakeClosesAfterBdcDeg]
      : [180 - cam.exhaustOpensBeforeBdcDeg, 360 + cam.exhaustClosesAfterTdcDeg]
  return [wrap(fires + shuts + ramp), wrap(fires + opens - ramp)]
}
/** Slider-crank by the law of cosines (Heywood, Internal Combustion Engine Fundamentals, ch. 2). */
function dropMm(engine: Engine, localDeg: number): number {
  const a = engine.strokeMm / 2
  const l = engine.rodMm ?? engine.strokeMm * 1.75
  const t = (localDeg * Math.PI) / 180
  return a + l - (a * Math.cos(t) + Math.sqrt(l * l - (a * Math.sin(t)) ** 2))
}

/** What the page really draws, as cycle angles: read back from the paths and transforms of the picture. */
const drawn = (page: Page) =>
  page.evaluate(() => {
    const wheel = document.querySelector('svg.wheel')!
    const angle = (x: number, y: number) => (((Math.atan2(x - 256, 256 - y) * 180) / Math.PI + 360) % 360) * 2
    const numbers = (d: string) => (d.match(/-?\d+(?:\.\d+)?/g) ?? []).map(Number)
    const pathEnds = (path: Element) => {
      const n = numbers(path.getAttribute('d')!)
      return [angle(n[0]!, n[1]!), angle(n[7]!, n[8]!)] as const
    }
    const moved = (el: Element) => numbers(el.getAttribute('transform')!)
    const line = (el: Element) => {
      const n = numbers(el.getAttribute('d')!)
      return angle(n.at(-2)!, n.at(-1)!)
    }
    const hand = wheel.querySelector('.hand')
    return {
      bands: Array.from(wheel.querySelectorAll('.band')).map(b => ({
        valve: b.getAttribute('data-valve')!,
        arcs: Array.from(b.querySelectorAll('.closed')).map(pathEnds),
      })),
      stops: Array.from(wheel.querySelectorAll('.stop')).map(s => {
        const n = moved(s.parentElement!)
        return angle(n[0]!, n[1]!)
      }),
      tops: Array.from(wheel.querySelectorAll('.mark.top path')).map(line),
      hand: hand && line(hand),
      pistonY: moved(wheel.querySelector('.piston')!)[1]!,
      valveY: Object.fromEntries(
        Array.from(wheel.querySelectorAll('.valve')).map(v => [v.getAttribute('data-role')!, moved(v)[1]!]),
      ),
      name: wheel.querySelector('.cylinder-name')?.textContent ?? null,
    }
  })

for (const model of ['Minnow 125', 'Duet 405', 'Switch 470', 'Fallow V22']) {
  test(`${model}: the wheel as drawn agrees with cam card, firing angles and slider-crank`, async ({ page }) => {
    await signIn(page)
    const hand = await BenchHand.finding(page, model, 500)
    await hand.step()
    await saved(page)
    const { engine } = hand
    const view = await hand.view()
    await expect
      .poll(async () => apart((await drawn(page)).hand ?? 999, view.position.peakDeg), {
        message: 'the hand comes to the likeliest angle',
      })
      .toBeLessThan(0.6)
    const seen = await drawn(page)

    expect(seen.bands.map(b => b.valve)).toEqual(engine.valves.map(v => v.id))
    for (const { valve: id, arcs } of seen.bands) {
      const valve = engine.valves.find(v => v.id === id)!
      const [from, to] = closedByCard(engine, valve)
      expect(apart(arcs[0]![0], from) < 0.5 || apart(arcs.at(-1)![0], from) < 0.5, `${id} begins at ${from}°`).toBe(
        true,
      )
      expect(
        arcs.some(a => apart(a[1], to) < 0.5),
        `${id} ends at ${to}°`,
      ).toBe(true)
      if (engine.decompressor.kind === 'arc' && valve.role === 'exhaust') {
        const fires = engine.cylinders.find(c => c.id === valve.cylinderId)!.firingAngleDeg
        expect(
          arcs.some(a => apart(a[0], fires + (engine.decompressor as { toDeg: number }).toDeg) < 0.5),
          `${id} shuts again where the decompressor lets go`,
        ).toBe(true)
      }
    }
    expect(seen.stops.length).toBe(view.model.plan.stops.length)
    view.model.plan.stops.forEach((stop, i) =>
      expect(apart(seen.stops[i]!, stop.crankDeg), `stop ${i + 1}`).toBeLessThan(0.3),
    )
    const tops = engine.marks.filter(m => m.kind === 'top')
    for (const mark of tops)
      for (const turn of [0, 360])
        expect(
          seen.tops.some(t => apart(t, mark.angleDeg + turn) < 0.5),
          `${mark.letter} at ${mark.angleDeg + turn}°`,
        ).toBe(true)

    // the section shows the cylinder in question at its own angle, and stands where the hand stands
    const shown = engine.cylinders.length > 1 ? engine.cylinders.find(c => c.name === seen.name)! : engine.cylinders[0]!
    const local = seen.hand! - shown.firingAngleDeg
    expect(((seen.pistonY + 64) / 66) * engine.strokeMm, 'piston').toBeCloseTo(dropMm(engine, local), 1)
    for (const valve of engine.valves.filter(v => v.cylinderId === shown.id)) {
      const [from, to] = closedByCard(engine, valve)
      const closed = wrap(view.position.peakDeg - from) < wrap(to - from)
      expect(seen.valveY[valve.role]! > 0.05, `${valve.name} is drawn ${closed ? 'shut' : 'open'}`).toBe(!closed)
    }
  })
}

test('wheel, section and words follow an answer at once', async ({ page }) => {
  await signIn(page)
  await BenchHand.finding(page, 'Switch 470', 500)
  await expect(page.locator('svg.wheel')).toHaveAttribute('aria-label', /anywhere/)
  const frames = await page.evaluate(
    () =>
      new Promise<number>(resolve => {
        let count = 0
        const look = () => {
          count++
          if (!document.querySelector('svg.wheel')!.getAttribute('aria-label')!.includes('anywhere')) resolve(count)
          else requestAnimationFrame(look)
        }
        window.dispatchEvent(new KeyboardEvent('keydown', { key: '1', bubbles: true }))
        requestAnimationFrame(look)
      }),
  )
  // the answer is first written to this device, then shown; the picture a frame behind the words
  expect(frames).toBeLessThan(30)
})
