import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { greatestLiftMm, pistonDrop, valveLift } from '~~/core/engine'
import { locate, type Observation, positionModel } from '~~/core/position'
import { engineOf } from '~~/tests/support/builders'
import { fourValveSingle, twinOf } from '~~/tests/support/engines'
import CycleWheel from './CycleWheel.vue'
import EngineSection from './EngineSection.vue'
import { at, polarPath, ringPath, textArc } from './geometry'
import MarkWindow from './MarkWindow.vue'

const toT: Observation = { kind: 'move', to: { kind: 'mark', markIndex: 0 } }
const wheelOf = (engine = engineOf(), ...observations: Observation[]) => {
  const model = positionModel(engine)
  const position = locate(
    model,
    observations.map((observation, i) => ({ id: String(i), observation })),
  )
  return mount(CycleWheel, {
    props: {
      engine,
      arcs: position.arcs,
      crankDeg: position.peakDeg,
      stops: model.plan.stops,
      target: model.plan.stops[0] ?? null,
      atStop: false,
      feel: [],
      cylinderId: engine.cylinders.at(-1)!.id,
    },
  })
}
/** The cycle angle at which a path begins, read back from its first point. */
const startOf = (d: string): number => {
  const [x, y] = /M (\S+) (\S+)/.exec(d)!.slice(1).map(Number) as [number, number]
  return (((Math.atan2(x - 256, 256 - y) * 180) / Math.PI + 360) % 360) * 2
}

describe('the geometry of the wheel', () => {
  const center = { x: 0, y: 0 }
  it.each([
    [0, 0, -10],
    [180, 10, 0],
    [360, 0, 10],
    [540, -10, 0],
  ])('%d° of the cycle is at (%d, %d)', (deg, x, y) => {
    expect(at(center, 10, deg).x).toBeCloseTo(x, 9)
    expect(at(center, 10, deg).y).toBeCloseTo(y, 9)
  })
  it('a whole circle is still a path', () => expect(ringPath(center, 5, 10, 0, 720)).toMatch(/^M .* A .* L .* A .* Z$/))
  it('labels in the lower half run the other way, so that none stands on its head', () => {
    expect(textArc(center, 10, 0, 100)).toContain('0 0 1')
    expect(textArc(center, 10, 360, 100)).toContain('0 0 0')
  })
  it('a polar path has a point a step', () => expect(polarPath(center, 0, 60, 6, () => 1).split('L')).toHaveLength(11))
})

describe('the cycle wheel', () => {
  it('draws each closed arc from where the core begins it', () => {
    const wheel = wheelOf()
    expect(startOf(wheel.find('[data-valve=intake] .closed').attributes('d')!)).toBeCloseTo(615, 0)
    expect(startOf(wheel.find('[data-valve=exhaust] .closed').attributes('d')!)).toBeCloseTo(400, 0)
  })
  it('breaks the exhaust’s arc where a decompressor holds it, and shows the ledge', () => {
    const wheel = wheelOf(
      engineOf({ decompressor: { kind: 'arc', role: 'exhaust', fromDeg: -120, toDeg: 10, cylinderId: null } }),
    )
    expect(
      wheel
        .findAll('[data-valve=exhaust] .closed')
        .map(p => Math.round(startOf(p.attributes('d')!)))
        .sort((a, b) => a - b),
    ).toEqual([10, 400])
    expect(startOf(wheel.find('[data-valve=exhaust] .held').attributes('d')!)).toBeCloseTo(600, 0)
    expect(wheel.find('[data-valve=intake] .held').exists()).toBe(false)
  })
  it('shows marks on both turns, and the stop where the plan has it', () => {
    const wheel = wheelOf()
    expect(wheel.findAll('.mark.top')).toHaveLength(2)
    expect(wheel.findAll('.mark.fire')).toHaveLength(2)
    expect(wheel.findAll('.stop').map(s => s.attributes('data-stop'))).toEqual(['0.0'])
  })
  it('shows two lobes at T, and none while the crank may be anywhere', () => {
    expect(wheelOf(engineOf(), toT).findAll('.lobe')).toHaveLength(2)
    const nowhere = wheelOf()
    expect(nowhere.findAll('.lobe')).toHaveLength(0)
    expect(nowhere.find('.hand').exists()).toBe(false)
    expect(nowhere.attributes('aria-label')).toContain('anywhere')
  })
  it('two wheels on a page do not share ids', () => {
    const page = mount({
      components: { CycleWheel },
      template: '<div><CycleWheel v-bind="p" /><CycleWheel v-bind="p" /></div>',
      setup: () => ({
        p: {
          engine: engineOf(),
          arcs: [],
          crankDeg: 0,
          stops: [],
          target: null,
          atStop: false,
          feel: [],
          cylinderId: 'only',
        },
      }),
    })
    const ids = page.findAll('[id]').map(e => e.attributes('id'))
    expect(new Set(ids).size).toBe(ids.length)
  })
})

describe('the engine section', () => {
  const section = (crankDeg: number, changes = {}) =>
    mount(EngineSection, {
      props: { engine: engineOf(changes), crankDeg, feel: [] },
      attachTo: document.createElementNS('http://www.w3.org/2000/svg', 'svg') as unknown as HTMLElement,
    })
  it.each([0, 34.3, 90, 180, 270, 360, 500])('at %d° the piston stands where the slider-crank puts it', deg => {
    expect(Number(section(deg).find('.piston').attributes('data-drop'))).toBeCloseTo(
      pistonDrop({ strokeMm: 57.8, rodMm: 100 }, deg),
      2,
    )
  })
  it.each(['overhead cam', 'push-rods'] as const)('valves move by the lift law (%s)', layout => {
    for (const deg of [0, 250, 360, 460]) {
      for (const role of ['intake', 'exhaust'] as const) {
        const drawn = Number(section(deg, { layout }).find(`.valve[data-role=${role}]`).attributes('data-lift'))
        expect(drawn).toBeCloseTo((valveLift(engineOf(), role, deg) / greatestLiftMm(engineOf())) * 11, 1)
      }
    }
  })
  it('turns clockwise: a quarter turn on, the crank pin stands to the right', () => {
    expect(Number(section(90).find('.crank-pin').attributes('cx'))).toBeCloseTo(33, 3)
  })
})

describe('the mark window', () => {
  const lines = (
    direction: 'clockwise' | 'anticlockwise',
    marks: { letter: string; angleDeg: number; kind: 'top' | 'fire' | 'advance' }[],
  ) => {
    const engine = engineOf({ marks, turning: { direction, seenFrom: 'the left', means: 'the nut' } })
    const window = mount(MarkWindow, { props: { engine, markIndex: 0 } })
    return Object.fromEntries(
      window.findAll('.line').map(l => [l.attributes('data-letter')!, Number(l.attributes('data-x'))]),
    )
  }
  const marks = [
    { letter: 'T', angleDeg: 0, kind: 'top' as const },
    { letter: 'F', angleDeg: 346, kind: 'fire' as const },
    { letter: '‖', angleDeg: 340, kind: 'advance' as const },
  ]
  it('what passes first lies furthest along the motion: to the left where the crank turns anticlockwise', () => {
    const x = lines('anticlockwise', marks)
    expect(x.F!).toBeLessThan(x.T!)
    expect(x['‖']!).toBeLessThan(x.F!)
  })
  it('and to the right where it turns clockwise, as far by scale', () => {
    const [left, right] = [lines('anticlockwise', marks), lines('clockwise', marks)]
    expect(right.F! - right.T!).toBeCloseTo(left.T! - left.F!, 6)
    expect(right.F!).toBeGreaterThan(right.T!)
  })
  it('a mark that is far away is not in the window', () =>
    expect(lines('clockwise', [marks[0]!, { letter: 'T R', angleDeg: 180, kind: 'top' }])).not.toHaveProperty('T R'))
})

describe('the wheel of a twin', () => {
  it('shows a band for each valve, those of the cylinder in question dark, and each stop where it is planned', () => {
    const engine = twinOf(270)
    const model = positionModel(engine)
    const wheel = mount(CycleWheel, {
      props: {
        engine,
        arcs: [],
        crankDeg: 0,
        stops: model.plan.stops,
        target: model.plan.stops[1]!,
        atStop: false,
        feel: [],
        cylinderId: 'r',
      },
    })
    expect(wheel.findAll('.band').map(b => [b.attributes('data-valve'), b.classes('own')])).toEqual([
      ['l-intake', false],
      ['l-exhaust', false],
      ['r-intake', true],
      ['r-exhaust', true],
    ])
    expect(startOf(wheel.find('[data-valve=r-intake] .closed').attributes('d')!)).toBeCloseTo((615 + 270) % 720, 0)
    expect(wheel.findAll('.stop').map(s => s.attributes('data-stop'))).toEqual(['0.0', '270.0'])
    expect(wheel.find('.stop[data-target=true]').attributes('data-stop')).toBe('270.0')
  })
  it('four valves on one cylinder share two bands', () => {
    const engine = fourValveSingle()
    const wheel = mount(CycleWheel, {
      props: { engine, arcs: [], crankDeg: 0, stops: [], target: null, atStop: false, feel: [], cylinderId: 'only' },
    })
    expect(wheel.findAll('.band')).toHaveLength(2)
    expect(wheel.text()).toContain('Intakes closed')
  })
})
