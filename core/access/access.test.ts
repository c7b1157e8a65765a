import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { tellEnglish } from '../../words'
import { engineSchema } from '../engine'
import { heard } from '../wrong'
import { fastenersText, parseFasteners } from './fastener-text'
import {
  backInGroups,
  inSafeOrder,
  oddTorque,
  type Part,
  PART_KINDS,
  plainPart,
  SAFE_THINGS,
  stressAreaMm2,
  usualTorqueNm,
} from './index'
import { MACHINE_KINDS, machineKind, usualParts } from './usual-parts'

const bolts = (threadMm: number, count = 4) => [{ count, threadMm, lengthMm: null, odd: '' }]

describe('torques by thread', () => {
  // ISO 898-1, table of minimum ultimate tensile loads, coarse threads: nominal stress area, mm²
  it.each([
    [3, 5.03],
    [4, 8.78],
    [5, 14.2],
    [6, 20.1],
    [8, 36.6],
    [10, 58],
    [12, 84.3],
    [14, 115],
  ])('the stress area of M%d is the published one', (threadMm, published) =>
    expect(Math.abs(stressAreaMm2(threadMm)! / published - 1)).toBeLessThan(0.005),
  )
  it('a cover’s usual torques are usual, and a slip of the unit is not', () => {
    // common practice: M6 in a cover 8 to 12 N·m, M8 20 to 27; 10 N·m is 88 lbf·in
    for (const [threadMm, torqueNm] of [
      [6, 8],
      [6, 12],
      [8, 20],
      [8, 27],
      [5, 5],
    ] as const)
      expect(oddTorque({ torqueNm, kind: 'cover', fasteners: bolts(threadMm) })).toBeNull()
    expect(oddTorque({ torqueNm: 88, kind: 'cover', fasteners: bolts(6) })).toMatchObject({ threadMm: 6 })
    expect(oddTorque({ torqueNm: 1, kind: 'cover', fasteners: bolts(6) })).toMatchObject({ threadMm: 6 })
  })
  it('plugs have torques of their own, and nothing is said of a thread that is not known', () => {
    expect(oddTorque({ torqueNm: 12, kind: 'spark plug', fasteners: bolts(10, 1) })).toBeNull()
    expect(oddTorque({ torqueNm: 40, kind: 'spark plug', fasteners: bolts(10, 1) })).not.toBeNull()
    expect(usualTorqueNm(14, 'timing plug')).toBeNull()
    expect(oddTorque({ torqueNm: 40, kind: 'cover', fasteners: bolts(6.5) })).toBeNull()
    expect(oddTorque({ torqueNm: null, kind: 'cover', fasteners: bolts(6) })).toBeNull()
  })
  it('a model with such a torque, two parts of one name, or a part of no cylinder is refused at the part', () => {
    const wrongOf = (parts: Part[]) =>
      engineSchema
        .safeParse({ ...engineOf(), parts })
        .error?.issues.map(i => tellEnglish(heard(i.message)))
        .join(' ')
    const cover: Part = { ...plainPart('Cover', 'cover'), torqueNm: 88, fasteners: bolts(6) }
    expect(wrongOf([cover])).toMatch(/Cover: 88 N·m.*M6.*Check unit/)
    expect(wrongOf([plainPart('Panel'), plainPart('panel')])).toContain('same name')
    expect(wrongOf([{ ...plainPart('Lead', 'plug lead'), cylinderId: 'second' }])).toContain('second')
  })
})

describe('the way back', () => {
  const part = fc.record({ kind: fc.constantFrom(...PART_KINDS), torqueNm: fc.constantFrom(null, 10) })
  const parts = fc
    .array(part, { maxLength: 16 })
    .map(all => all.map((p, i): Part => ({ ...plainPart(`part ${i}`, p.kind), torqueNm: p.torqueNm })))
  it('is the exact reverse, everything once, however it is grouped', () =>
    fc.assert(
      fc.property(parts, off => {
        expect(backInGroups(off).flatMap(g => g.parts.map(p => p.name))).toEqual(off.map(p => p.name).reverse())
      }),
      { seed: 19 },
    ))
  it('never takes a part that wants a torque or a seal along with others', () =>
    fc.assert(
      fc.property(parts, off => {
        for (const { parts: group } of backInGroups(off))
          if (group.length > 1) expect(group.some(p => p.torqueNm !== null || p.kind === 'cover')).toBe(false)
      }),
      { seed: 19 },
    ))
})

describe('fasteners as they are typed', () => {
  it('are read as mechanics write them, and come back the same', () => {
    expect(parseFasteners('4 M6 × 20; 1 x M6x28 upper rear; 2')).toEqual([
      { count: 4, threadMm: 6, lengthMm: 20, odd: '' },
      { count: 1, threadMm: 6, lengthMm: 28, odd: 'upper rear' },
      { count: 2, threadMm: null, lengthMm: null, odd: '' },
    ])
    const one = fc.record({
      count: fc.integer({ min: 1, max: 40 }),
      threadMm: fc.constantFrom(null, 5, 6, 8, 10),
      lengthMm: fc.constantFrom(null, 12, 20.5),
      odd: fc.constantFrom('', 'upper rear', 'with a collar, black'),
    })
    fc.assert(
      fc.property(fc.array(one, { maxLength: 4 }), all => {
        expect(parseFasteners(fastenersText(all))).toEqual(all)
      }),
      { seed: 19 },
    )
  })
  it('that cannot be read are said with an example', () =>
    expect(() => parseFasteners('four bolts')).toThrow('no-fasteners'))
})

describe('made safe', () => {
  // common practice: negative off first, last on; so the battery is live again after all that hangs on it
  it('goes in one order whatever order it was written in', () =>
    fc.assert(
      fc.property(fc.shuffledSubarray([...SAFE_THINGS]), things => {
        const order = inSafeOrder(things)
        expect([...order].sort()).toEqual([...things].sort())
        expect(order).toEqual(SAFE_THINGS.filter(t => things.includes(t)))
      }),
      { seed: 19 },
    ))
})

describe('the usual list', () => {
  const nameOf = (what: string, cylinder: string | null) => [cylinder, what].filter(Boolean).join(' ')
  it.each(MACHINE_KINDS)('of a %s has a cover, a plug and a lead for each cylinder, and stands in a model', kind => {
    const twin = engineOf({
      cylinders: [
        { id: 'left', name: 'Left', firingAngleDeg: 0 },
        { id: 'right', name: 'Right', firingAngleDeg: 360 },
      ],
      valves: (['left', 'right'] as const).flatMap(id =>
        (['intake', 'exhaust'] as const).map(role => ({
          id: `${id}-${role}`,
          cylinderId: id,
          role,
          name: `${id} ${role}`,
          headX: 0.5,
          headY: 0.5,
        })),
      ),
    })
    const usual = usualParts(kind, twin, nameOf)
    for (const own of ['cover', 'spark plug', 'plug lead'] as const)
      expect(usual.filter(p => p.kind === own).map(p => p.cylinderId)).toEqual(['left', 'right'])
    expect(usual.at(-1)!.kind).toBe('cover')
    expect(engineSchema.parse({ ...twin, parts: usual }).parts).toEqual(usual)
  })
  it('knows a kind by the spec book’s own word for it', () => {
    expect(
      ['Lawn mower', 'Side-by-side', 'Generator', 'Scooter', 'Motorcycle', 'Garden tractor', 'Boat'].map(machineKind),
    ).toEqual(['mower', 'ATV', 'generator', 'scooter', 'motorcycle', 'tractor', null])
  })
})
