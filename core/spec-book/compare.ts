import sameData from 'fast-deep-equal'
import { threadText } from '../adjuster'
import { type Clearance, type Engine, firingIntervalName, type MeasuredField, ROLES, windowsOf } from '../engine'
import { spanOf, spanWords, targetOf } from '../feeler'
import { type Said, say, type Text } from '../said'
import { fahrenheit, formatLength, snapMm, torqueParts } from '../units'
import { stopsText } from './spec-text'

/** The lines of a spec, by the name of what each is about. */
export type SpecLineId =
  | 'intake'
  | 'exhaust'
  | 'intake-also'
  | 'exhaust-also'
  | 'others'
  | 'cold'
  | 'locknut'
  | 'cover'
  | 'plug'
  | 'screw'
  | 'shim'
  | 'cylinders'
  | 'crank'
  | 'rod'
  | 'cam'
  | 'decompressor'
  | 'measured-at'
  | 'marks'
  | 'signs'
  | 'stops'
  | 'turning'
  | 'strip'
  | 'parts'
  | 'safe'
  | 'heads'
  | 'old'
  | 'gasket'
  | 'pattern'
  | 'tools'
  | 'gap'
  | 'interval'
/** One line of a spec: its value, and what stands small beside it. An empty value is not given. */
export interface SpecLine {
  id: SpecLineId
  name: Said
  sub: Text
  value: Text
  more: Text
  unit?: string
  clearance?: Clearance
  data: unknown
}
export interface Compared {
  id: SpecLineId
  name: Said
  sub: Text
  change: 'same' | 'changed' | 'added' | 'removed'
  before: SpecLine
  after: SpecLine
  note: Text
}

/** Every line of a spec, in the order of a page: what an engine's data says. */
export function specLines(engine: Engine): SpecLine[] {
  const { adjuster, cam, decompressor, torques, clearance, alsoPrinted, shim, interval } = engine
  const line = (id: SpecLineId, data: unknown, value: Text, more: Text = '', sub: Text = ''): SpecLine => ({
    id,
    name: say('spec-line', { id }),
    sub,
    value,
    more,
    data,
  })
  const strokeAssumed = engine.assumed?.includes('stroke') ?? false
  /** A figure with the words of its page, where they are not the plain figure. */
  const asPrinted = (data: unknown, ...fields: MeasuredField[]): unknown => {
    const words = fields.flatMap(f => engine.printed?.[f] ?? [])
    return words.length ? [data, words] : data
  }
  const torque = (id: 'locknut' | 'cover' | 'plug', nm: number | null, sub = ''): SpecLine => ({
    ...line(
      id,
      asPrinted(nm, id),
      nm === null ? '' : torqueParts(nm).si,
      nm === null ? '' : torqueParts(nm).inch,
      engine.printed?.[id] ? say('spec-says.printed', { text: engine.printed[id], sub }) : sub,
    ),
    unit: 'N·m',
  })
  const all = engine.cylinders.length > 1 ? say('spec-says.all-cylinders') : ''
  return [
    ...ROLES.map((role): SpecLine => ({
      ...line(role, figuresOf(clearance[role]), spanWords(clearance[role]).value, spanWords(clearance[role]).more, all),
      clearance: clearance[role],
    })),
    ...ROLES.map(role =>
      line(
        `${role}-also`,
        alsoPrinted[role] && figuresOf(alsoPrinted[role]),
        alsoPrinted[role]?.text ?? '',
        alsoPrinted[role]?.unit ?? '',
      ),
    ),
    line(
      'others',
      engine.otherClearances.map(o => ({ role: o.role, figures: figuresOf(o.clearance), source: o.source })),
      say('spec-says.others', {
        figures: engine.otherClearances.map(o => ({ role: o.role, figure: spanWords(o.clearance).value })),
      }),
      engine.otherClearances.map(o => o.source).join('; '),
    ),
    line(
      'cold',
      asPrinted([engine.setWhen, engine.coldLimitC], 'coldLimit'),
      engine.setWhen === 'hot' ? say('spec-says.set-hot') : `${engine.coldLimitC} °C`,
      engine.setWhen === 'hot'
        ? ''
        : say('spec-says.at-the-head', { limitF: Math.round(fahrenheit(engine.coldLimitC)) }),
    ),
    torque('locknut', torques.locknutNm, adjuster.threadMm === null ? '' : threadText(adjuster)),
    torque('cover', torques.coverNm, engine.coverPattern),
    torque('plug', torques.plugNm),
    line(
      'screw',
      adjuster,
      adjuster.threadMm === null
        ? say('spec-says.pitch', { pitchMm: adjuster.pitchMm, assumed: adjuster.pitchAssumed })
        : threadText(adjuster),
      say('spec-says.screw', adjuster),
    ),
    line(
      'shim',
      asPrinted(shim, 'shimDiameter', 'shimStep'),
      shim ? say('spec-says.across', { diameterMm: shim.diameterMm }) : '',
      shim ? say('spec-says.steps', { stepMm: shim.stepMm }) : '',
    ),
    line(
      'cylinders',
      [engine.cylinders, engine.valves, engine.layout],
      firingIntervalName(engine) || `${engine.cylinders.length}`,
      say('spec-says.valves', { count: engine.valves.length, layout: engine.layout }),
    ),
    line(
      'crank',
      asPrinted([engine.boreMm, engine.strokeMm, ...(strokeAssumed ? ['assumed'] : [])], 'bore', 'stroke'),
      strokeAssumed && engine.boreMm === null
        ? ''
        : `${engine.boreMm ?? '?'} × ${strokeAssumed ? '?' : engine.strokeMm} mm`,
    ),
    { ...line('rod', asPrinted(engine.rodMm, 'rod'), engine.rodMm === null ? '' : `${engine.rodMm} mm`), unit: 'mm' },
    line(
      'cam',
      asPrinted(cam, 'checkLift'),
      cam
        ? `${cam.intakeOpensBeforeTdcDeg}/${cam.intakeClosesAfterBdcDeg}/${cam.exhaustOpensBeforeBdcDeg}/${cam.exhaustClosesAfterTdcDeg}`
        : '',
      cam ? say('spec-says.check-lift', { liftMm: cam.checkLiftMm }) : '',
    ),
    line(
      'decompressor',
      decompressor,
      decompressor.kind === 'arc'
        ? say('spec-says.holds', { fromDeg: decompressor.fromDeg, toDeg: decompressor.toDeg })
        : decompressor.kind === 'none'
          ? say('spec-says.none')
          : say('spec-says.not-known'),
    ),
    line(
      'measured-at',
      asPrinted(engine.measuredAt, 'measuredDrop'),
      say('spec-says.measured-at', { at: engine.measuredAt }),
    ),
    line(
      'marks',
      [engine.marks, engine.markWindow],
      engine.marks.map(m => `${m.letter} ${m.angleDeg}°${m.shape ? ` (${m.shape})` : ''}`).join(', '),
      windowsOf(engine).join(' / '),
    ),
    line('signs', engine.camMarks, engine.camMarks.map(m => `${m.words}, ${m.angleDeg}°`).join('; ')),
    line('stops', engine.makersStops, stopsText(engine).replaceAll('\n', '; ')),
    line(
      'turning',
      engine.turning,
      say('spec-says.turning', { clockwise: engine.turning.direction === 'clockwise', from: engine.turning.seenFrom }),
      say('spec-says.turned-by', { means: engine.turning.means }),
    ),
    line('strip', engine.stripDown, engine.stripDown.join(', ')),
    line('parts', engine.parts ?? null, (engine.parts ?? []).map(p => p.name).join(', ')),
    line('safe', engine.safe ?? null, engine.safe?.length ? say('spec-says.made-safe', { things: engine.safe }) : ''),
    line('heads', engine.heads ?? null, engine.heads ? say('spec-says.heads', engine.heads) : ''),
    line(
      'old',
      engine.superseded ?? null,
      (engine.superseded ?? []).map(o => o.text).join(', '),
      (engine.superseded ?? []).map(o => `${o.correctedBy}, ${o.correctedOn}`).join('; '),
    ),
    line('gasket', engine.gasket, engine.gasket),
    line('pattern', engine.coverPattern, engine.coverPattern),
    line('tools', engine.tools, engine.tools),
    line(
      'gap',
      [engine.plugGap, engine.plugLife],
      engine.plugGap,
      engine.plugLife ? say('spec-says.plug-life', engine.plugLife) : '',
    ),
    line(
      'interval',
      interval,
      interval.use === null && interval.months === null && !interval.firstUse
        ? ''
        : say('spec-says.interval', { use: interval.use, months: interval.months, first: interval.firstUse ?? null }),
    ),
  ]
}
const figuresOf = (c: Clearance): unknown => ({ ...c, text: undefined, unit: undefined })

/** How two clearances differ, to be read beside them: “0.02 mm looser”, or nothing where only the words do. */
function clearanceNote(before: Clearance, after: Clearance): Text {
  const mm = snapMm(targetOf(after) - targetOf(before))
  if (mm !== 0) return say('spec-note.moved', { mm: formatLength(Math.abs(mm), 'mm'), looser: mm > 0 })
  const width = (c: Clearance) => snapMm(spanOf(c).maxMm - spanOf(c).minMm)
  return width(after) === width(before) ? '' : say('spec-note.same-middle', { narrower: width(after) < width(before) })
}

/** Two specs line by line; lines that neither gives are left out. */
export function compareSpecs(before: Engine, after: Engine): Compared[] {
  const late = new Map(specLines(after).map(l => [l.id, l]))
  return specLines(before).flatMap((a): Compared[] => {
    const b = late.get(a.id)!
    if (a.value === '' && b.value === '') return []
    const change = sameData(a.data, b.data) ? 'same' : a.value === '' ? 'added' : b.value === '' ? 'removed' : 'changed'
    const note =
      change !== 'changed'
        ? ''
        : a.clearance && b.clearance
          ? clearanceNote(a.clearance, b.clearance)
          : typeof a.data === 'number' && typeof b.data === 'number'
            ? say('spec-note.by', {
                by: Number(Math.abs(b.data - a.data).toFixed(3)),
                unit: b.unit ?? '',
                more: b.data > a.data,
              })
            : ''
    return [{ id: a.id, name: b.name, sub: b.sub || a.sub, change, before: a, after: b, note }]
  })
}
