import { describe, expect, it } from 'vitest'
import * as singles from '../../server/demo/models/singles'
import * as twins from '../../server/demo/models/twins'
import { engineOf } from '../../tests/support/builders'
import { fourOf, fourValveSingle, twinOf } from '../../tests/support/engines'
import { tellEnglish } from '../../words'
import { emptySpec, readSpec, type SpecText, writeSpec } from './index'

const demo = [...Object.values(singles), ...Object.values(twins)].map(m => [`${m.maker} ${m.model}`, m.engine] as const)
const engines = [
  ...demo,
  ['four', fourOf()] as const,
  ['four valves', fourValveSingle()] as const,
  ['90° twin', twinOf(270)] as const,
]

const plain = (changes: Partial<SpecText> = {}): SpecText => ({
  ...emptySpec(),
  intake: '0.08–0.12',
  exhaust: '0.10–0.14',
  stroke: '57.8',
  seenFrom: 'the left',
  means: 'the nut',
  source: 'Manual',
  sourceDate: '2024-01-02',
  ...changes,
})

describe('an engine written as plain fields and read again is the same engine', () => {
  it.each(engines)('%s', (_, engine) => {
    const { text, exact } = writeSpec(engine)
    expect(readSpec(text, exact)).toEqual({ engine, wrong: {} })
  })
  it.each([
    [{ locknut: '12 lbf·ft' }, { torques: { locknutNm: 16.2698 } }],
    [{ cover: '8–10 N·m', plug: '1.5 kgf·m' }, { torques: { coverNm: 9, plugNm: 14.71 } }],
    [{ cover: '90 in-lb' }, { torques: { coverNm: 10.1686 } }],
    [{ coldLimit: '95 F' }, { coldLimitC: 35 }],
    [{ coldLimit: '86 °F' }, { coldLimitC: 30 }],
    [
      { stroke: '2 1/4 in', bore: '2.5"' },
      { strokeMm: 57.15, boreMm: 63.5 },
    ],
  ] as const)('%o in its own unit is reckoned with and kept as printed', (fields, wanted) => {
    const { engine, wrong } = readSpec(plain(fields))
    expect(wrong).toEqual({})
    expect(engine).toMatchObject(wanted)
    const again = writeSpec(engine!)
    expect(again.text).toMatchObject(fields)
    expect(again.exact).toEqual({})
    expect(
      readSpec({ ...again.text, ...Object.fromEntries(Object.keys(fields).map(f => [f, '33'])) }).engine?.printed,
    ).toBeUndefined()
  })
  it('what the fields say needs nothing beside them', () => {
    const { engine } = readSpec(
      plain({
        cylinders: 'Left 0, Right 270',
        valves: '4',
        marks: 'T 0, F 346.5',
        markWindow: 'the window',
        stops: '0 T: left intake 1, left intake 2',
        pitch: 'M6×0.75',
      }),
    )
    expect(writeSpec(engine!).exact).toEqual({})
    expect(engine!.adjuster).toMatchObject({ pitchMm: 0.75, threadMm: 6, pitchAssumed: false })
  })
})

describe('a field that was changed counts, whatever was written beside the fields', () => {
  const engine = fourValveSingle({
    clearance: {
      ...engineOf().clearance,
      intake: { form: 'limits', minMm: 0.08, maxMm: 0.12, text: 'eight to twelve', unit: 'mm' },
    },
  })
  it('a printed text that cannot be read stands while it is left alone', () => {
    const { text, exact } = writeSpec(engine)
    expect(readSpec({ ...text, stroke: '60' }, exact).engine).toEqual({ ...engine, strokeMm: 60 })
  })
  it('and gives way when it is typed anew', () => {
    const { text, exact } = writeSpec(engine)
    expect(
      readSpec({ ...text, intake: '0.10–0.14', exhaust: '0.12–0.16' }, exact).engine?.clearance.intake,
    ).toMatchObject({ minMm: 0.1, maxMm: 0.14 })
  })
  it('valves of their own places go when another cylinder is named', () => {
    const { text, exact } = writeSpec(engine)
    expect(
      readSpec({ ...text, intake: '0.1–0.14', cylinders: 'Front 0, Rear 360' }, exact).engine?.valves.map(v => v.name),
    ).toContain('Rear exhaust 2')
  })
  it('what was written beside and is no engine is left out', () =>
    expect(readSpec(plain(), { valves: [{ id: 'x' }] } as never).engine?.valves).toHaveLength(2))
})

describe('what cannot be is said at its field, with what to type', () => {
  it.each([
    [{ intake: 'ten' }, 'intake', /not a length/],
    [{ stroke: 'wide' }, 'stroke', /not a length/],
    [{ locknut: '12 mm' }, 'locknut', /not a torque/],
    [{ coldLimit: '95 N·m' }, 'coldLimit', /not a temperature/],
    [{ intake: '0.12–0.08' }, 'intake', /0.08–0.12 meant/],
    [{ intake: '0.1 ± 0.2' }, 'intake', /± 0.02 meant/],
    [{ intake: '4' }, 'intake', /0\.4.*, or 4 thou, 0\.102 mm meant/],
    [{ unit: 'cm' }, 'unit', /mm, thou or in/],
    [{ layout: 'rotary' }, 'layout', /./],
    [{ pitch: 'M6×0.9' }, 'pitch', /ISO 261/],
    [{ io: '5' }, 'ic', /degrees/],
    [{ intakeBy: 'shim', shimDiameter: '' }, 'shimDiameter', /./],
    [{ heldOn: 'Front', decompressor: 'arc' }, 'heldOn', /no cylinder/],
    [{ months: '1.5' }, 'months', /./],
  ] as [Partial<SpecText>, string, RegExp][])('%o', (changes, field, words) => {
    const { engine, wrong } = readSpec(plain(changes))
    expect(engine).toBeNull()
    expect(tellEnglish(wrong[field as keyof SpecText] ?? '')).toMatch(words)
  })
  it('a decimal comma is a decimal comma in lists too', () =>
    expect(readSpec(plain({ marks: 'T 0, F 346,5', markWindow: 'a', stroke: '57,8' })).engine).toMatchObject({
      strokeMm: 57.8,
      marks: [{ angleDeg: 0 }, { angleDeg: 346.5 }],
    }))
})
