import { parseThread } from '../adjuster'
import { ASSUMABLE, type Engine, MEASURED_FIELDS, type MeasuredField, ROLES, type Valve } from '../engine'
import { say } from '../said'
import { type LengthUnit, measuredValue, numberOf, numberProblem, readLength, readNumber } from '../units'
import { heard } from '../wrong'
import { parseCamMarks, parseMarks } from './mark-text'
import type { Exact, SpecField, SpecText, SpecWrong } from './spec-fields'
import { parseClearance, parseCylinders, parseOtherFigures, parseStops, parseSuperseded } from './spec-text'

/** The valves of plain cylinders: two or four each, seen from above with the intakes behind. */
function valvesOf(cylinders: Engine['cylinders'], text: SpecText): Engine['valves'] {
  const count = text.valves === '4' ? 2 : 1
  const slots = cylinders.length * count
  return cylinders.flatMap((cylinder, c) =>
    ROLES.flatMap(role =>
      Array.from({ length: count }, (_, n) => {
        const kind = `${role}${count > 1 ? ` ${n + 1}` : ''}`
        const place = c * count + n
        return {
          id: `${cylinder.id}-${role}${count > 1 ? `-${n + 1}` : ''}`,
          cylinderId: cylinder.id,
          role,
          name: cylinders.length > 1 ? `${cylinder.name} ${kind}` : `${kind.charAt(0).toUpperCase()}${kind.slice(1)}`,
          headX: slots === 1 ? 0.5 : slots === 2 ? [0.28, 0.72][place]! : 0.12 + (place * 0.76) / (slots - 1),
          headY: role === 'intake' ? 0.7 : 0.29,
          adjuster: (role === 'intake' ? text.intakeBy : text.exhaustBy) as Valve['adjuster'],
        }
      }),
    ),
  )
}

/**
 * The stroke of an engine of which nobody said it, mm, from memory: it is used where a rod is read past top, and there
 * alone.
 */
const ASSUMED_STROKE_MM = 54
/** How an engine is turned of which nobody said it: by what each has. */
const ASSUMED_TURNING = { seenFrom: 'the flywheel side', means: 'the flywheel' }
const CAM_FIELDS = ['io', 'ic', 'eo', 'ec'] as const

/** Engine data as the fields say it, unjudged, with what could not be read by field. */
export function candidate(text: SpecText, exact: Exact): { data: Record<string, unknown>; wrong: SpecWrong } {
  const wrong: SpecWrong = {}
  const attempt = <T>(field: SpecField, work: () => T): T | undefined => {
    try {
      return work()
    } catch (error) {
      wrong[field] = error instanceof Error ? heard(error.message) : say('common.that-isnt-valid-check-the-unit')
      return undefined
    }
  }
  const number = (field: SpecField, other: number | null = null): number | null => {
    const problem = numberProblem(text[field])
    if (problem) wrong[field] = problem
    return problem ? null : (numberOf(text[field]) ?? other)
  }
  const printed: Engine['printed'] = {}
  const measured = (field: MeasuredField, other: number | null = null): number | null => {
    if (readNumber(text[field]).kind !== 'none' || text[field] === '') return number(field, other)
    const value = attempt(field, () => measuredValue(MEASURED_FIELDS[field], text[field]))
    if (value !== undefined) printed[field] = text[field]
    return value ?? null
  }
  const size = (field: 'headSize' | 'nutSize') => attempt(field, () => readLength(text[field]).value)
  const assumed = ASSUMABLE.filter(field => text[field] === '')
  const unit = text.unit as LengthUnit
  if (!['mm', 'thou', 'in'].includes(unit)) wrong.unit = say('figure.not-a-unit', { typed: text.unit })
  const clearance = (field: SpecField) =>
    text[field] === '' && field.endsWith('Also')
      ? null
      : attempt(field, () => parseClearance(text[field], field.endsWith('Also') ? otherUnitOf(unit) : unit))
  const marks = attempt('marks', () => parseMarks(text.marks)) ?? []
  const cylinders = exact.cylinders ?? attempt('cylinders', () => parseCylinders(text.cylinders)) ?? []
  const valves = exact.valves ?? valvesOf(cylinders, text)
  const heldOn =
    text.heldOn === ''
      ? null
      : (cylinders.find(c => c.name.toLowerCase() === text.heldOn.toLowerCase())?.id ?? text.heldOn)
  const thread =
    text.pitch === '' ? { pitchMm: 0.75, diameterMm: null } : attempt('pitch', () => parseThread(text.pitch))
  const data = {
    source: text.source,
    sourceDate: text.sourceDate,
    clearance: { intake: clearance('intake'), exhaust: clearance('exhaust') },
    alsoPrinted: { intake: clearance('intakeAlso'), exhaust: clearance('exhaustAlso') },
    otherClearances: attempt('others', () => parseOtherFigures(text.others, unit)) ?? [],
    ...(text.superseded === ''
      ? {}
      : { superseded: attempt('superseded', () => parseSuperseded(text.superseded)) ?? [] }),
    setWhen: text.setWhen,
    coldLimitC: measured('coldLimit', 35),
    boreMm: measured('bore'),
    strokeMm: measured('stroke', ASSUMED_STROKE_MM),
    rodMm: measured('rod'),
    layout: text.layout,
    cylinders,
    valves,
    shim:
      text.intakeBy === 'shim' || text.exhaustBy === 'shim'
        ? { diameterMm: measured('shimDiameter'), stepMm: measured('shimStep', 0.05) }
        : null,
    cam: CAM_FIELDS.every(f => text[f] === '')
      ? null
      : {
          checkLiftMm: measured('checkLift'),
          intakeOpensBeforeTdcDeg: number('io'),
          intakeClosesAfterBdcDeg: number('ic'),
          exhaustOpensBeforeBdcDeg: number('eo'),
          exhaustClosesAfterTdcDeg: number('ec'),
        },
    decompressor:
      text.decompressor === 'arc'
        ? {
            kind: 'arc',
            role: 'exhaust',
            fromDeg: number('heldFrom', -120),
            toDeg: number('heldTo', 10),
            cylinderId: heldOn,
          }
        : { kind: text.decompressor },
    measuredAt:
      text.measuredAt === 'past top'
        ? { kind: 'past top', dropMm: measured('measuredDrop') }
        : { kind: text.measuredAt },
    marks,
    markWindow: text.markWindow,
    camMarks: attempt('camMarks', () => parseCamMarks(text.camMarks)) ?? [],
    makersStops: attempt('stops', () => parseStops(text.stops, { cylinders, marks }, valves)) ?? [],
    turning: {
      direction: text.direction,
      seenFrom: text.seenFrom || ASSUMED_TURNING.seenFrom,
      means: text.means || ASSUMED_TURNING.means,
      ...(text.turnedWith === '' ? {} : { by: text.turnedWith }),
    },
    adjuster: {
      kind: text.adjuster,
      head: text.head,
      ...(text.lockedBy === '' ? {} : { lockedBy: text.lockedBy }),
      ...(text.headSize === '' ? {} : { headMm: size('headSize') }),
      ...(text.nutSize === '' ? {} : { nutMm: size('nutSize') }),
      pitchMm: thread?.pitchMm ?? null,
      threadMm: thread?.diameterMm ?? null,
      pitchAssumed: text.pitch === '',
      rockerRatio: number('ratio', 1),
    },
    torques: { locknutNm: measured('locknut'), coverNm: measured('cover'), plugNm: measured('plug') },
    tools: text.tools,
    plugGap: text.plugGap,
    ...(text.plugUse === '' && text.plugMonths === ''
      ? {}
      : { plugLife: { use: number('plugUse'), months: number('plugMonths') } }),
    coverPattern: text.coverPattern,
    gasket: text.gasket,
    stripDown: text.stripDown
      .split(/\n|;/)
      .map(s => s.trim())
      .filter(Boolean),
    interval: {
      use: number('use'),
      months: number('months'),
      ...(text.firstUse === '' ? {} : { firstUse: number('firstUse') as number }),
    },
  }
  return {
    data: { ...data, ...(Object.keys(printed).length ? { printed } : {}), ...(assumed.length ? { assumed } : {}) },
    wrong,
  }
}
const otherUnitOf = (unit: LengthUnit): LengthUnit => (unit === 'mm' ? 'in' : 'mm')
