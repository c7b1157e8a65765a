import { describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { doubtsOf } from '~~/core/spec-book'
import { twinOf } from '../../tests/support/engines'
import { FIRING_CHOICES, useModelForm } from './useModelForm'

const TWIN = twinOf(360)

describe('the form', () => {
  const filled = () => {
    const form = useModelForm()
    Object.assign(form.spec, {
      intake: '0.08–0.12',
      exhaust: '0.10–0.14',
      stroke: '57,8',
      seenFrom: 'the left',
      means: 'the nut',
      source: 'Manual',
      sourceDate: '2024-01-02',
    })
    return form
  }
  it('makes engine data, and marks as assumed what was left empty', () => {
    const engine = filled().engine()
    expect(engine).toMatchObject({
      strokeMm: 57.8,
      rodMm: null,
      cam: null,
      decompressor: { kind: 'unknown' },
      adjuster: { pitchAssumed: true },
      torques: { locknutNm: null },
    })
  })
  it.each([
    ['stroke', '0', 'stroke'],
    ['intake', '1.0–1.2 in', 'intake'],
    ['sourceDate', 'last year', 'sourceDate'],
    ['pitch', '7', 'pitch'],
    ['marks', 'T 400', 'marks'],
    ['marks', 'T 0', 'markWindow'],
    ['cylinders', 'Left 0, Right 720', 'cylinders'],
    ['cylinders', 'Left', 'cylinders'],
    ['stops', '14 T: intake', 'stops'],
    ['stops', '0 top:', 'stops'],
    ['stops', '0 top: bleed valve', 'stops'],
    ['stops', '40 top: intake', 'stops'],
    ['camMarks', 'the dots face 720', 'camMarks'],
    ['locknut', '900', 'locknut'],
  ] as const)('%s “%s” marks the field', (field, value, wrong) => {
    const form = filled()
    form.spec[field] = value
    expect(form.engine()).toBeNull()
    expect(form.wrong[wrong]).toBeTruthy()
  })
  it('a twin by its firing interval: names, angles, valves of each, shims where they are', async () => {
    const form = filled()
    form.firing.value = FIRING_CHOICES.find(c => c.label.startsWith('180°'))!.value
    await nextTick()
    Object.assign(form.spec, {
      marks: 'T L 0, F 347, T R 180',
      markWindow: 'the rotor window',
      intakeBy: 'shim',
      shimDiameter: '9,5',
      others: 'exhaust 0.13–0.17; Bulletin 4',
      stops: '0 T L: left intake, left exhaust\n180 T R: right intake, right exhaust',
      decompressor: 'arc',
      heldOn: 'right',
    })
    const engine = form.engine()
    expect(form.wrong).toEqual({})
    expect(engine?.cylinders.map(c => [c.name, c.firingAngleDeg])).toEqual([
      ['Left', 0],
      ['Right', 180],
    ])
    expect(engine?.valves.map(v => [v.name, v.adjuster])).toEqual([
      ['Left intake', 'shim'],
      ['Left exhaust', 'screw'],
      ['Right intake', 'shim'],
      ['Right exhaust', 'screw'],
    ])
    expect(engine?.marks.map(m => [m.letter, m.kind])).toEqual([
      ['T L', 'top'],
      ['F', 'fire'],
      ['T R', 'top'],
    ])
    expect(engine?.makersStops.map(s => s.valveIds.length)).toEqual([2, 2])
    expect(engine?.decompressor).toMatchObject({ kind: 'arc', cylinderId: engine!.cylinders[1]!.id })
    expect(engine).toMatchObject({
      shim: { diameterMm: 9.5, stepMm: 0.05 },
      otherClearances: [{ role: 'exhaust', clearance: { minMm: 0.13, maxMm: 0.17 }, source: 'Bulletin 4' }],
    })
  })
  it('closing before opening is refused at the cam, a decompressor on no cylinder at its field', () => {
    const form = filled()
    Object.assign(form.spec, { checkLift: '1', io: '-60', ic: '-60', eo: '40', ec: '10' })
    expect(form.engine()).toBeNull()
    expect(form.wrong.ic).toMatch(/signs/)
    Object.assign(form.spec, { checkLift: '', io: '', ic: '', eo: '', ec: '', decompressor: 'arc', heldOn: 'Middle' })
    expect(form.engine()).toBeNull()
    expect(form.wrong.heldOn).toMatch(/no cylinder/)
  })
  it('four valves get names and places of their own', () => {
    const form = filled()
    form.spec.valves = '4'
    expect(form.engine()?.valves.map(v => v.name)).toEqual(['Intake 1', 'Intake 2', 'Exhaust 1', 'Exhaust 2'])
  })
  it('is filled from an engine and gives the same engine back, but for what is changed', () => {
    const form = useModelForm()
    form.fill(TWIN)
    expect(form.engine()).toEqual(TWIN)
    form.spec.exhaust = '0.10–0.14'
    expect(form.engine()).toEqual({
      ...TWIN,
      clearance: {
        ...TWIN.clearance,
        exhaust: { form: 'limits', minMm: 0.1, maxMm: 0.14, text: '0.10–0.14', unit: 'mm' },
      },
    })
  })
  it('asks about an odd figure at its field until it is answered', () => {
    const form = filled()
    form.spec.plug = '120'
    const engine = form.engine()!
    expect(form.doubtAt('plug')).toMatch(/Was 12 N·m/)
    form.answered.value = doubtsOf(engine).map(d => d.id)
    expect(form.doubtAt('plug')).toBeUndefined()
    expect(form.open()).toEqual([])
  })
})

describe('the engine so far', () => {
  it('is drawn before anything is told, and grows as it is', () => {
    const form = useModelForm()
    expect(form.soFar.value).toMatchObject({
      assumed: ['stroke', 'seenFrom', 'means'],
      decompressor: { kind: 'unknown' },
    })
    form.spec.stroke = '2 1/4 in'
    form.spec.decompressor = 'none'
    expect(form.soFar.value).toMatchObject({ strokeMm: 57.15, decompressor: { kind: 'none' } })
  })
  it('keeps its picture while something is typed that cannot be read', () => {
    const form = useModelForm()
    form.spec.stroke = '60'
    expect(form.soFar.value!.strokeMm).toBe(60)
    form.spec.stroke = '60 wide'
    expect(form.soFar.value!.strokeMm).toBe(60)
  })
  it('takes what was checked on a page, and is an engine once name and source are there', () => {
    const form = useModelForm()
    form.take({ intake: '.004 in', exhaust: '.006 in', unit: 'in', locknut: '12 lbf·ft' })
    Object.assign(form.spec, { source: 'Manual, p. 3', sourceDate: '2024-01-02' })
    expect(form.engine()).toMatchObject({
      clearance: { intake: { figureMm: 0.1016, unit: 'in' } },
      torques: { locknutNm: 16.2698 },
      printed: { locknut: '12 lbf·ft' },
    })
  })
})
