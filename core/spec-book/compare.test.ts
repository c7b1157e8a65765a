import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { twinOf } from '../../tests/support/engines'
import { judge } from '../../tests/support/told'
import { plainPart } from '../access'
import type { Clearance } from '../engine'
import { compareSpecs, derivedFacts, displacementCc, rejudge, specLines } from './index'

const limits = (minMm: number, maxMm: number): Clearance => ({
  form: 'limits',
  minMm,
  maxMm,
  text: `${minMm}–${maxMm}`,
  unit: 'mm',
})
const base = twinOf(270)

describe('two specs side by side', () => {
  const after = {
    ...base,
    clearance: { ...base.clearance, exhaust: limits(0.12, 0.16) },
    torques: { ...base.torques, locknutNm: 10, plugNm: null },
    rodMm: null,
    alsoPrinted: { intake: null, exhaust: limits(0.12, 0.16) },
  }
  const lines = compareSpecs(base, after)
  const of = (id: string) => lines.find(l => l.id === id)
  it('says what changed, by how much and which way', () => {
    expect(of('exhaust')).toMatchObject({
      change: 'changed',
      note: { say: 'spec-note.moved', mm: '0.02', looser: true },
      before: { value: '0.10–0.14 mm' },
      after: { value: '0.12–0.16 mm' },
    })
    expect(of('locknut')).toMatchObject({
      change: 'changed',
      note: { say: 'spec-note.by', by: 2, unit: 'N·m', more: true },
    })
  })
  it('tells added from removed from same', () => {
    expect(of('plug')?.change).toBe('removed')
    expect(of('rod')?.change).toBe('removed')
    expect(of('exhaust-also')?.change).toBe('added')
    expect(of('intake')?.change).toBe('same')
  })
  it('the same figure printed in another way is no change', () =>
    expect(
      compareSpecs(base, {
        ...base,
        clearance: { ...base.clearance, intake: { ...base.clearance.intake, text: '.08 to .12' } },
      }).every(l => l.change === 'same'),
    ).toBe(true))
  it('no part of an engine changes without a line that says so', () => {
    const changes: Partial<typeof base>[] = [
      { boreMm: 60 },
      { strokeMm: 50 },
      { layout: 'push-rods' },
      {
        cam: {
          checkLiftMm: 1,
          intakeOpensBeforeTdcDeg: 5,
          intakeClosesAfterBdcDeg: 35,
          exhaustOpensBeforeBdcDeg: 35,
          exhaustClosesAfterTdcDeg: 5,
        },
      },
      { decompressor: { kind: 'unknown' } },
      { marks: base.marks.slice(1) },
      { markWindow: 'elsewhere' },
      { camMarks: [{ words: 'dots', angleDeg: 0 }] },
      { turning: { ...base.turning, direction: 'clockwise' } },
      { setWhen: 'hot' },
      { coldLimitC: 30 },
      { tools: 'x' },
      { plugGap: 'x' },
      { coverPattern: 'x' },
      { gasket: 'x' },
      { stripDown: ['x'] },
      { parts: [plainPart('Hood', 'panel')] },
      { safe: ['key'] },
      { heads: { layout: 'in line', intakeSide: 'left', banks: [{ name: 'Head', cylinderIds: ['only'] }] } },
      {
        superseded: [
          { role: 'exhaust', text: '0.2', source: 'First printing', correctedBy: 'Sheet 4', correctedOn: '2024-01-01' },
        ],
      },
      { interval: { use: 1, months: null } },
      { adjuster: { ...base.adjuster, head: 'Torx' } },
      { shim: { diameterMm: 9, stepMm: 0.05 } },
      { otherClearances: [{ role: 'intake', clearance: limits(0.1, 0.2), source: 'Letter' }] },
      { valves: base.valves.map(v => ({ ...v, adjuster: 'none' as const })) },
    ]
    for (const change of changes)
      expect(
        compareSpecs(base, { ...base, ...change }).some(l => l.change !== 'same'),
        JSON.stringify(change),
      ).toBe(true)
  })
  it('gives each line both units where it has two', () =>
    expect(specLines(base).find(l => l.id === 'intake')).toMatchObject({ value: '0.08–0.12 mm', more: '3.1–4.7 thou' }))
})

describe('earlier as-left readings by another spec', () => {
  it.each([
    [0.08, 0.1, 'tight'],
    [0.1, 0.12, 'tight'],
    [0.12, 0.14, 'in'],
    [0.12, 0.16, 'in'],
    [0.16, 0.175, 'in'],
    [0.165, 0.18, 'loose'],
    [0.1, 0.14, 'unproved'],
    [0.15, 0.2, 'unproved'],
    [0.13, null, 'unproved'],
    [0.2, null, 'loose'],
  ] as const)('%s to %s against 0.12–0.16 is %s', (loMm, hiMm, verdict) =>
    expect(rejudge({ loMm, hiMm }, limits(0.12, 0.16))).toBe(verdict),
  )
  it.each([
    [0.08, 0.1, 'tight'],
    [0.1, 0.115, 'in'],
    [0.1, 0.13, 'in'],
    [0.115, 0.13, 'loose'],
    [0.06, 0.15, 'unproved'],
    [0.1, 0.25, 'unproved'],
  ] as const)('%s to %s against a bare 0.10 is %s', (loMm, hiMm, verdict) =>
    expect(rejudge({ loMm, hiMm }, { form: 'bare', figureMm: 0.1, text: '0.10', unit: 'mm' })).toBe(verdict),
  )
  it('says of a reading under its own spec what the trials said', () => {
    const blades = [0.06, 0.08, 0.1, 0.12, 0.14, 0.16]
    for (const gap of [0.05, 0.07, 0.085, 0.1, 0.11, 0.125, 0.14, 0.17]) {
      const trials = blades.map((mm, i) => ({
        id: String(i),
        bladesMm: [mm],
        feel: gap < mm ? ('no-go' as const) : gap < mm + 0.015 ? ('drag' as const) : ('free' as const),
      }))
      const spec = limits(0.08, 0.14)
      const { reading, verdict } = judge(trials, spec)
      expect(rejudge(reading, spec), String(gap)).toBe(verdict)
    }
  })
})

describe('what follows from a spec', () => {
  it('screw degrees: a 0.5 mm pitch at the valve is 7.2° for 0.01 mm, 18.3° a thou, and a flat is 0.083 mm', () => {
    const { screw } = derivedFacts(
      engineOf({ adjuster: { kind: 'valve-end', pitchMm: 0.5, pitchAssumed: false, rockerRatio: 1, head: 'slot' } }),
    )
    expect(screw!.perHundredthDeg).toBeCloseTo(7.2, 9)
    expect(screw!.perThouDeg).toBeCloseTo(18.288, 6)
    expect(screw!.flatMm).toBeCloseTo(0.5 / 6, 9)
  })
  it('none where all are shims', () =>
    expect(
      derivedFacts(
        engineOf({
          shim: { diameterMm: 9, stepMm: 0.05 },
          valves: engineOf().valves.map(v => ({ ...v, adjuster: 'shim' as const })),
        }),
      ).screw,
    ).toBeNull())
  it('a decompressor sends past top: so far down', () => {
    const { stops } = derivedFacts(
      engineOf({ decompressor: { kind: 'arc', role: 'exhaust', fromDeg: -110, toDeg: 8, cylinderId: null } }),
    )
    expect(stops.some(s => s.dropMm !== null && s.dropMm >= 5.9)).toBe(true)
  })
  it('53 × 55.5 twice is 245 cm³', () =>
    expect(displacementCc({ ...base, boreMm: 53, strokeMm: 55.5 })).toBeCloseTo(244.9, 1))
})
