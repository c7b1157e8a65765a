import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { dragValve, type Engine, headMap, type Heads, valveSigns } from './index'

/** Cylinders by name and firing angle, with a pair of valves each. */
const engineWith = (cylinders: [string, number][], heads?: Heads): Engine =>
  engineOf({
    cylinders: cylinders.map(([name, firingAngleDeg]) => ({ id: name, name, firingAngleDeg })),
    valves: cylinders.flatMap(([id]) =>
      (['intake', 'exhaust'] as const).map(role => ({
        id: `${id}-${role}`,
        cylinderId: id,
        role,
        name: `${id} ${role}`,
        headX: 0.5,
        headY: role === 'intake' ? 0.7 : 0.3,
      })),
    ),
    ...(heads ? { heads } : {}),
  })
const FOUR: [string, number][] = [
  ['Left front', 0],
  ['Right front', 180],
  ['Left rear', 360],
  ['Right rear', 540],
]

describe('heads where they are', () => {
  it.each([45, 52, 90])('a V of %d° leans by as much, read back from where its heads stand', angleDeg => {
    const { heads, crank } = headMap(
      engineWith(
        [
          ['Front', 0],
          ['Rear', 315],
        ],
        {
          layout: 'V',
          intakeSide: 'between',
          angleDeg,
          banks: [
            { name: 'Front', cylinderIds: ['Front'] },
            { name: 'Rear', cylinderIds: ['Rear'] },
          ],
        },
      ),
    )
    const lean = heads.map(h => (Math.atan2(h.x - crank!.x, crank!.y - h.y) * 180) / Math.PI)
    expect(lean[1]! - lean[0]!).toBeCloseTo(angleDeg, 6)
  })
  it('intakes between the banks of a V stand nearer to one another than the exhausts', () => {
    const { valves } = headMap(
      engineWith(
        [
          ['Front', 0],
          ['Rear', 270],
        ],
        {
          layout: 'V',
          intakeSide: 'between',
          banks: [
            { name: 'Front', cylinderIds: ['Front'] },
            { name: 'Rear', cylinderIds: ['Rear'] },
          ],
        },
      ),
    )
    const apart = (role: string) => Math.abs(valves.filter(v => v.role === role).reduce((d, v) => v.x - d, 0))
    expect(apart('intake')).toBeLessThan(apart('exhaust'))
  })
  it('a flat four has two banks of two on either side of its crank, no two valves in one place or of one sign', () => {
    const engine = engineWith(FOUR, {
      layout: 'flat',
      intakeSide: 'above',
      banks: [
        { name: 'Left', cylinderIds: ['Left front', 'Left rear'] },
        { name: 'Right', cylinderIds: ['Right front', 'Right rear'] },
      ],
    })
    const { heads, valves, crank, sides } = headMap(engine)
    expect(heads.map(h => Math.sign(h.x - crank!.x))).toEqual([-1, 1])
    for (const v of valves) expect(v.x < crank!.x).toBe(v.name.startsWith('Left'))
    expect(new Set(valves.map(v => v.sign)).size).toBe(8)
    expect(new Set(valves.map(v => `${Math.round(v.x)},${Math.round(v.y)}`)).size).toBe(8)
    expect(sides).toEqual({ top: 'intake', bottom: 'exhaust' })
  })
  it.each([
    ['rear', 'y', 1],
    ['front', 'y', -1],
  ] as const)('a row across the frame with its intakes at the %s has them there', (intakeSide, axis, sign) => {
    const banks = [{ name: 'Head', cylinderIds: FOUR.map(([id]) => id) }]
    const { valves } = headMap(engineWith(FOUR, { layout: 'transverse', intakeSide, banks }))
    for (const v of valves.filter(x => x.role === 'intake')) {
      const own = valves.find(x => x.role === 'exhaust' && x.name.startsWith(v.name.replace(' intake', '')))!
      expect(Math.sign(v[axis] - own[axis])).toBe(sign)
    }
  })
  it.each(['in line', 'transverse', 'V', 'flat'] as const)(
    '%s: every circle lies in the picture, none over another',
    layout => {
      const banks =
        layout === 'V' || layout === 'flat'
          ? [
              { name: 'A', cylinderIds: ['Left front', 'Left rear'] },
              { name: 'B', cylinderIds: ['Right front', 'Right rear'] },
            ]
          : [{ name: 'A', cylinderIds: FOUR.map(([id]) => id) }]
      const { valves } = headMap(engineWith(FOUR, { layout, intakeSide: 'rear', banks }))
      for (const [i, v] of valves.entries()) {
        expect([v.x - v.r >= 0, v.x + v.r <= 420, v.y - v.r >= 0, v.y + v.r <= 400]).toEqual([true, true, true, true])
        for (const w of valves.slice(i + 1)) expect(Math.hypot(v.x - w.x, v.y - w.y)).toBeGreaterThan(v.r + w.r)
      }
    },
  )
  it('a maker’s own sign stands as it is', () => {
    const engine = engineOf()
    engine.valves[0]!.sign = 'A1'
    expect(valveSigns(engine)).toEqual({ intake: 'A1', exhaust: 'E' })
  })
})

describe('valves dragged to where they are', () => {
  const engine = engineWith([['Only', 0]])
  const placeOf = (of: Engine, id: string) => {
    const { x, y } = headMap(of).valves.find(v => v.valveId === id)!
    return { x, y }
  }
  it('stand there afterward, and nowhere but on the plan', () => {
    const moved = { ...engine, valves: dragValve(engine, 'Only-intake', { x: 120, y: 150 }) }
    expect(placeOf(moved, 'Only-intake')).toEqual({ x: 120, y: 150 })
    expect(placeOf(moved, 'Only-exhaust')).toEqual(placeOf(engine, 'Only-exhaust'))
    const off = { ...engine, valves: dragValve(engine, 'Only-intake', { x: -300, y: 900 }) }
    const { r } = headMap(off).valves[0]!
    expect(placeOf(off, 'Only-intake')).toEqual({ x: r, y: 400 - r })
  })
  it('one dropped on another trades places with it', () => {
    const [intake, exhaust] = [placeOf(engine, 'Only-intake'), placeOf(engine, 'Only-exhaust')]
    const traded = { ...engine, valves: dragValve(engine, 'Only-intake', exhaust) }
    expect(placeOf(traded, 'Only-intake')).toEqual(exhaust)
    expect(placeOf(traded, 'Only-exhaust')).toEqual(intake)
  })
  it('a valve that is none of this engine’s moves nothing', () =>
    expect(dragValve(engine, 'other', { x: 1, y: 1 })).toEqual(engine.valves))
})

describe('where carburetor and muffler are said to be', () => {
  const bank = [{ name: 'Head', cylinderIds: ['A', 'B'] }]
  const cylinders: [string, number][] = [
    ['A', 0],
    ['B', 360],
  ]
  it.each([
    ['in line', 'left', { left: 'intake', right: 'exhaust' }],
    ['in line', 'right', { left: 'exhaust', right: 'intake' }],
    ['transverse', 'front', { top: 'intake', bottom: 'exhaust' }],
  ] as const)('%s, intakes %s', (layout, intakeSide, sides) =>
    expect(headMap(engineWith(cylinders, { layout, intakeSide, banks: bank })).sides).toEqual(sides),
  )
  it('in a V, between the heads', () => {
    const banks = cylinders.map(([name]) => ({ name, cylinderIds: [name] }))
    const sides = (intakeSide: 'between' | 'rear') =>
      headMap(engineWith(cylinders, { layout: 'V', intakeSide, angleDeg: 75, banks })).sides
    expect([sides('between'), sides('rear')]).toEqual([{ between: 'intake' }, { between: 'exhaust' }])
  })
})
