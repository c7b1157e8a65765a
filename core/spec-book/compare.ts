import { threadText } from '../adjuster'
import { type Clearance, type Engine, firingIntervalName, ROLES, type Role, runsWords } from '../engine'
import { spanOf, targetOf } from '../feeler'
import { fahrenheit, formatLength, torqueParts, snapMm, thouFromMm } from '../units'
import { same } from './spec-form'
import { stopsText } from './spec-text'

/** One line of a spec: its value in words, and what stands small beside it. An empty value is not given. */
export interface SpecLine {
  id: string
  name: string
  sub: string
  value: string
  more: string
  unit?: string
  clearance?: Clearance
  data: unknown
}
export interface Compared {
  id: string
  name: string
  sub: string
  change: 'same' | 'changed' | 'added' | 'removed'
  before: SpecLine
  after: SpecLine
  note: string
}

/** A clearance in both units: “0.08–0.12 mm”, “3.1–4.7 thou”. */
export const spanWords = (c: Clearance): { value: string; more: string } => {
  const { minMm, maxMm } = spanOf(c)
  const thou = (mm: number) => thouFromMm(mm).toFixed(1)
  return minMm === maxMm
    ? { value: `${formatLength(minMm, 'mm')} mm`, more: `${thou(minMm)} thou` }
    : {
        value: `${formatLength(minMm, 'mm')}–${formatLength(maxMm, 'mm')} mm`,
        more: `${thou(minMm)}–${thou(maxMm)} thou`,
      }
}

/** Every line of a spec, in the order of a page: what an engine's data says to a person. */
export function specLines(engine: Engine): SpecLine[] {
  const { adjuster, cam, decompressor, torques, clearance, alsoPrinted, shim, interval } = engine
  const line = (id: string, name: string, data: unknown, value: string, more = '', sub = ''): SpecLine => ({
    id,
    name,
    sub,
    value,
    more,
    data,
  })
  const torque = (id: string, name: string, nm: number | null, sub = ''): SpecLine => ({
    ...line(id, name, nm, nm === null ? '' : torqueParts(nm).si, nm === null ? '' : torqueParts(nm).inch, sub),
    unit: 'N·m',
  })
  const all = engine.cylinders.length > 1 ? 'all cylinders' : ''
  return [
    ...ROLES.map((role): SpecLine => ({
      ...line(
        role,
        role === 'intake' ? 'Intake' : 'Exhaust',
        figuresOf(clearance[role]),
        spanWords(clearance[role]).value,
        spanWords(clearance[role]).more,
        all,
      ),
      clearance: clearance[role],
    })),
    ...ROLES.map(role =>
      line(
        `${role}-also`,
        `${role === 'intake' ? 'Intake' : 'Exhaust'} also printed`,
        alsoPrinted[role] && figuresOf(alsoPrinted[role]),
        alsoPrinted[role]?.text ?? '',
        alsoPrinted[role]?.unit ?? '',
      ),
    ),
    line(
      'others',
      'Other figures',
      engine.otherClearances.map(o => ({ role: o.role, figures: figuresOf(o.clearance), source: o.source })),
      engine.otherClearances.map(o => `${o.role} ${spanWords(o.clearance).value}`).join(', '),
      engine.otherClearances.map(o => o.source).join('; '),
    ),
    line(
      'cold',
      'Cold limit',
      [engine.setWhen, engine.coldLimitC],
      engine.setWhen === 'hot' ? 'Set hot' : `${engine.coldLimitC} °C`,
      engine.setWhen === 'hot' ? '' : `${Math.round(fahrenheit(engine.coldLimitC))} °F, at the head`,
    ),
    torque('locknut', 'Locknut', torques.locknutNm, adjuster.threadMm === null ? '' : threadText(adjuster)),
    torque('cover', 'Cover', torques.coverNm, engine.coverPattern),
    torque('plug', 'Spark plug', torques.plugNm),
    line(
      'screw',
      'Screw',
      adjuster,
      adjuster.threadMm === null
        ? `pitch ${adjuster.pitchMm} mm${adjuster.pitchAssumed ? ', assumed' : ''}`
        : threadText(adjuster),
      `${adjuster.head}, ${adjuster.kind === 'valve-end' ? 'at the valve' : adjuster.kind === 'pushrod-end' ? 'at the push-rod' : 'pivot nut'}${adjuster.rockerRatio === 1 ? '' : `, rocker ratio ${adjuster.rockerRatio}`}`,
    ),
    line(
      'shim',
      'Shims',
      shim,
      shim ? `${shim.diameterMm} mm across` : '',
      shim ? `in steps of ${shim.stepMm} mm` : '',
    ),
    line(
      'cylinders',
      'Cylinders',
      [engine.cylinders, engine.valves, engine.layout],
      firingIntervalName(engine) || `${engine.cylinders.length}`,
      `${engine.valves.length} valves, ${engine.layout}`,
    ),
    line('crank', 'Bore, stroke', [engine.boreMm, engine.strokeMm], `${engine.boreMm ?? '?'} × ${engine.strokeMm} mm`),
    { ...line('rod', 'Rod', engine.rodMm, engine.rodMm === null ? '' : `${engine.rodMm} mm`), unit: 'mm' },
    line(
      'cam',
      'Cam',
      cam,
      cam
        ? `${cam.intakeOpensBeforeTdcDeg}/${cam.intakeClosesAfterBdcDeg}/${cam.exhaustOpensBeforeBdcDeg}/${cam.exhaustClosesAfterTdcDeg}`
        : '',
      cam ? (cam.checkLiftMm === null ? 'at the seat' : `at ${cam.checkLiftMm} mm`) : '',
    ),
    line(
      'decompressor',
      'Decompressor',
      decompressor,
      decompressor.kind === 'arc'
        ? `holds ${decompressor.fromDeg}° to ${decompressor.toDeg}°`
        : decompressor.kind === 'none'
          ? 'none'
          : 'not known',
    ),
    line(
      'measured-at',
      'Measured',
      engine.measuredAt,
      {
        'not said': 'the source does not say where',
        'top': 'at the top mark',
        'past top': engine.measuredAt.kind === 'past top' ? `${engine.measuredAt.dropMm} mm past the top` : '',
        'makers stops': 'at the maker’s stops',
      }[engine.measuredAt.kind],
    ),
    line(
      'marks',
      'Marks',
      [engine.marks, engine.markWindow],
      engine.marks.map(m => `${m.letter} ${m.angleDeg}°`).join(', '),
      engine.markWindow,
    ),
    line('signs', 'Cam signs', engine.camMarks, engine.camMarks.map(m => `${m.words}, ${m.angleDeg}°`).join('; ')),
    line('stops', 'Maker’s stops', engine.makersStops, stopsText(engine).replaceAll('\n', '; ')),
    line(
      'turning',
      'Turning',
      engine.turning,
      `${runsWords(engine)}, seen from ${engine.turning.seenFrom}`,
      `by ${engine.turning.means}`,
    ),
    line('strip', 'Comes off first', engine.stripDown, engine.stripDown.join(', ')),
    line('gasket', 'Gasket', engine.gasket, engine.gasket),
    line('pattern', 'Cover bolts', engine.coverPattern, engine.coverPattern),
    line('tools', 'Tools', engine.tools, engine.tools),
    line('gap', 'Plug gap', engine.plugGap, engine.plugGap),
    line(
      'interval',
      'Check every',
      interval,
      [
        interval.use === null ? '' : `${interval.use} on the meter`,
        interval.months === null ? '' : `${interval.months} months`,
      ]
        .filter(Boolean)
        .join(' or ') + (interval.firstUse ? `, first after ${interval.firstUse}` : ''),
    ),
  ]
}
const figuresOf = (c: Clearance): unknown => ({ ...c, text: undefined, unit: undefined })

/** How two clearances differ, to be read beside them: “0.02 mm looser”, or nothing where only the words do. */
function clearanceNote(role: Role, before: Clearance, after: Clearance): string {
  const mm = snapMm(targetOf(after) - targetOf(before))
  if (mm !== 0) return `${formatLength(Math.abs(mm), 'mm')} mm ${mm > 0 ? 'looser' : 'tighter'}`
  const width = (c: Clearance) => snapMm(spanOf(c).maxMm - spanOf(c).minMm)
  return width(after) === width(before) ? '' : `the same middle, ${width(after) < width(before) ? 'narrower' : 'wider'}`
}

/** Two specs line by line; lines that neither gives are left out. */
export function compareSpecs(before: Engine, after: Engine): Compared[] {
  const late = new Map(specLines(after).map(l => [l.id, l]))
  return specLines(before).flatMap((a): Compared[] => {
    const b = late.get(a.id)!
    if (a.value === '' && b.value === '') return []
    const change = same(a.data, b.data) ? 'same' : a.value === '' ? 'added' : b.value === '' ? 'removed' : 'changed'
    const note =
      change !== 'changed'
        ? ''
        : a.clearance && b.clearance
          ? clearanceNote(a.id as Role, a.clearance, b.clearance)
          : typeof a.data === 'number' && typeof b.data === 'number'
            ? `${Number(Math.abs(b.data - a.data).toFixed(3))} ${b.unit ?? ''} ${b.data > a.data ? 'more' : 'less'}`
            : ''
    return [{ id: a.id, name: b.name, sub: b.sub || a.sub, change, before: a, after: b, note }]
  })
}
