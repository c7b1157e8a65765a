import { parseThread, threadText } from '../adjuster'
import { type Engine, engineParts, engineSchema, ROLES, type Valve } from '../engine'
import { say, type Text } from '../said'
import { type LengthUnit, numberOf, numberProblem } from '../units'
import { heard } from '../wrong'
import {
  camMarksText,
  cylindersText,
  marksText,
  otherFiguresText,
  parseCamMarks,
  parseClearance,
  parseCylinders,
  parseMarks,
  parseOtherFigures,
  parseStops,
  stopsText,
} from './spec-text'

/** The fields of the plain form and of the CSV columns, in their order: what an empty one means is its default. */
export const SPEC_DEFAULTS = {
  source: '',
  sourceDate: '',
  unit: 'mm',
  intake: '',
  exhaust: '',
  intakeAlso: '',
  exhaustAlso: '',
  others: '',
  setWhen: 'cold',
  coldLimit: '35',
  bore: '',
  stroke: '',
  rod: '',
  layout: 'overhead cam',
  cylinders: 'Cylinder 0',
  valves: '2',
  intakeBy: 'screw',
  exhaustBy: 'screw',
  shimDiameter: '',
  shimStep: '',
  checkLift: '',
  io: '',
  ic: '',
  eo: '',
  ec: '',
  decompressor: 'unknown',
  heldFrom: '',
  heldTo: '',
  heldOn: '',
  measuredAt: 'not said',
  measuredDrop: '',
  marks: '',
  markWindow: '',
  camMarks: '',
  stops: '',
  direction: 'clockwise',
  seenFrom: '',
  means: '',
  adjuster: 'valve-end',
  head: 'slot',
  pitch: '',
  ratio: '1',
  locknut: '',
  cover: '',
  plug: '',
  tools: '',
  plugGap: '',
  coverPattern: '',
  gasket: '',
  stripDown: '',
  use: '',
  months: '',
  firstUse: '',
}
export type SpecField = keyof typeof SPEC_DEFAULTS
export type SpecText = Record<SpecField, string>
/** What is wrong, by field. */
export type SpecWrong = Partial<Record<SpecField, Text>>
export const SPEC_FIELDS = Object.keys(SPEC_DEFAULTS) as SpecField[]
export const emptySpec = (): SpecText => ({ ...SPEC_DEFAULTS })

/**
 * What of an engine the plain fields cannot say, kept beside them: valves with names or places of their own, and the
 * like.
 */
export type Exact = Partial<Engine>

/** Which fields say which part of the engine. Where they still say what they said, the exact part stands. */
const FIELDS_OF: Record<keyof Engine, SpecField[]> = {
  source: ['source'],
  sourceDate: ['sourceDate'],
  clearance: ['unit', 'intake', 'exhaust'],
  alsoPrinted: ['unit', 'intakeAlso', 'exhaustAlso'],
  otherClearances: ['unit', 'others'],
  setWhen: ['setWhen'],
  coldLimitC: ['coldLimit'],
  boreMm: ['bore'],
  strokeMm: ['stroke'],
  rodMm: ['rod'],
  layout: ['layout'],
  cylinders: ['cylinders'],
  valves: ['cylinders', 'valves', 'intakeBy', 'exhaustBy'],
  shim: ['shimDiameter', 'shimStep', 'intakeBy', 'exhaustBy'],
  cam: ['checkLift', 'io', 'ic', 'eo', 'ec'],
  decompressor: ['decompressor', 'heldFrom', 'heldTo', 'heldOn'],
  measuredAt: ['measuredAt', 'measuredDrop'],
  marks: ['marks'],
  markWindow: ['markWindow'],
  camMarks: ['camMarks'],
  makersStops: ['stops', 'marks', 'cylinders', 'valves'],
  turning: ['direction', 'seenFrom', 'means'],
  adjuster: ['adjuster', 'head', 'pitch', 'ratio'],
  torques: ['locknut', 'cover', 'plug'],
  tools: ['tools'],
  plugGap: ['plugGap'],
  coverPattern: ['coverPattern'],
  gasket: ['gasket'],
  stripDown: ['stripDown'],
  interval: ['use', 'months', 'firstUse'],
}
/** The field at which a problem of the engine data is shown, by the longest path that fits. */
const FIELD_AT: Record<string, SpecField> = {
  'clearance.intake': 'intake',
  'clearance.exhaust': 'exhaust',
  'alsoPrinted.intake': 'intakeAlso',
  'alsoPrinted.exhaust': 'exhaustAlso',
  'shim.diameterMm': 'shimDiameter',
  'shim.stepMm': 'shimStep',
  'valves': 'cylinders',
  'decompressor.cylinderId': 'heldOn',
  'measuredAt.dropMm': 'measuredDrop',
  'decompressor.fromDeg': 'heldFrom',
  'decompressor.toDeg': 'heldTo',
  'cam.checkLiftMm': 'checkLift',
  'cam.intakeOpensBeforeTdcDeg': 'io',
  'cam.intakeClosesAfterBdcDeg': 'ic',
  'cam.exhaustOpensBeforeBdcDeg': 'eo',
  'cam.exhaustClosesAfterTdcDeg': 'ec',
  'turning.seenFrom': 'seenFrom',
  'turning.means': 'means',
  'adjuster.kind': 'adjuster',
  'adjuster.head': 'head',
  'adjuster.pitchMm': 'pitch',
  'adjuster.threadMm': 'pitch',
  'adjuster.rockerRatio': 'ratio',
  'torques.locknutNm': 'locknut',
  'torques.coverNm': 'cover',
  'torques.plugNm': 'plug',
  'interval.use': 'use',
  'interval.months': 'months',
  'interval.firstUse': 'firstUse',
}
export function fieldAt(path: PropertyKey[]): SpecField {
  const text = path.join('.')
  return (
    Object.entries(FIELD_AT).find(([from]) => text.startsWith(from))?.[1] ??
    FIELDS_OF[String(path[0]) as keyof Engine]?.[0] ??
    'source'
  )
}

const figure = (value: number | null | undefined): string =>
  value === null || value === undefined ? '' : String(value)

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

const CAM_FIELDS = ['io', 'ic', 'eo', 'ec'] as const

/** Engine data as the fields say it, unjudged, with what could not be read by field. */
function candidate(text: SpecText, exact: Exact): { data: Record<string, unknown>; wrong: SpecWrong } {
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
    setWhen: text.setWhen,
    coldLimitC: number('coldLimit', 35),
    boreMm: number('bore'),
    strokeMm: number('stroke'),
    rodMm: number('rod'),
    layout: text.layout,
    cylinders,
    valves,
    shim:
      text.intakeBy === 'shim' || text.exhaustBy === 'shim'
        ? { diameterMm: number('shimDiameter'), stepMm: number('shimStep', 0.05) }
        : null,
    cam: CAM_FIELDS.every(f => text[f] === '')
      ? null
      : {
          checkLiftMm: number('checkLift'),
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
      text.measuredAt === 'past top' ? { kind: 'past top', dropMm: number('measuredDrop') } : { kind: text.measuredAt },
    marks,
    markWindow: text.markWindow,
    camMarks: attempt('camMarks', () => parseCamMarks(text.camMarks)) ?? [],
    makersStops: attempt('stops', () => parseStops(text.stops, { cylinders, marks }, valves)) ?? [],
    turning: { direction: text.direction, seenFrom: text.seenFrom, means: text.means },
    adjuster: {
      kind: text.adjuster,
      head: text.head,
      pitchMm: thread?.pitchMm ?? null,
      threadMm: thread?.diameterMm ?? null,
      pitchAssumed: text.pitch === '',
      rockerRatio: number('ratio', 1),
    },
    torques: { locknutNm: number('locknut'), coverNm: number('cover'), plugNm: number('plug') },
    tools: text.tools,
    plugGap: text.plugGap,
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
  return { data, wrong }
}
const otherUnitOf = (unit: LengthUnit): LengthUnit => (unit === 'mm' ? 'in' : 'mm')

/** The exact parts whose fields still say what they said of them. */
function standing(text: SpecText, exact: Exact): Exact {
  const keys = Object.keys(exact) as (keyof Engine)[]
  if (keys.length === 0) return {}
  const whole = engineParts.safeParse({ ...candidate(text, exact).data, ...exact })
  if (!whole.success) return {}
  const said = specText(whole.data)
  return Object.fromEntries(
    keys.filter(key => FIELDS_OF[key]?.every(field => said[field] === text[field])).map(key => [key, whole.data[key]]),
  )
}

/**
 * Reads the plain fields. An empty field is its default or is not claimed.
 * @param exact what an export wrote beside the fields; a part of it stands only while its fields are as they were
 * @returns the engine data, or by field what is wrong and what to type instead
 */
export function readSpec(given: Partial<SpecText>, exact: Exact = {}): { engine: Engine | null; wrong: SpecWrong } {
  const text = Object.fromEntries(
    SPEC_FIELDS.map(f => [f, (given[f] ?? '').trim() || (f === 'cylinders' ? '' : SPEC_DEFAULTS[f])]),
  ) as SpecText
  text.cylinders ||= SPEC_DEFAULTS.cylinders
  const kept = standing(text, exact)
  const { data, wrong } = candidate(text, kept)
  for (const key of Object.keys(kept) as (keyof Engine)[])
    for (const field of FIELDS_OF[key]) Reflect.deleteProperty(wrong, field)
  const parsed = engineSchema.safeParse({ ...data, ...kept })
  for (const issue of parsed.error?.issues ?? []) wrong[fieldAt(issue.path)] ??= heard(issue.message)
  return { engine: parsed.success && Object.keys(wrong).length === 0 ? parsed.data : null, wrong }
}

/** The fields that say an engine, as far as plain fields can. */
function specText(engine: Engine): SpecText {
  const { clearance, cam, decompressor, adjuster, torques, valves } = engine
  const by = (role: Valve['role']) => valves.find(v => v.role === role)?.adjuster ?? 'screw'
  const mostOfOne = Math.max(
    ...engine.cylinders.flatMap(c =>
      ROLES.map(role => valves.filter(v => v.cylinderId === c.id && v.role === role).length),
    ),
  )
  return {
    source: engine.source,
    sourceDate: engine.sourceDate,
    unit: clearance.intake.unit,
    intake: clearance.intake.text,
    exhaust: clearance.exhaust.text,
    intakeAlso: engine.alsoPrinted.intake?.text ?? '',
    exhaustAlso: engine.alsoPrinted.exhaust?.text ?? '',
    others: otherFiguresText(engine.otherClearances),
    setWhen: engine.setWhen,
    coldLimit: figure(engine.coldLimitC),
    bore: figure(engine.boreMm),
    stroke: figure(engine.strokeMm),
    rod: figure(engine.rodMm),
    layout: engine.layout,
    cylinders: cylindersText(engine.cylinders),
    valves: mostOfOne > 1 ? '4' : '2',
    intakeBy: by('intake'),
    exhaustBy: by('exhaust'),
    shimDiameter: figure(engine.shim?.diameterMm),
    shimStep: figure(engine.shim?.stepMm),
    checkLift: figure(cam?.checkLiftMm),
    io: figure(cam?.intakeOpensBeforeTdcDeg),
    ic: figure(cam?.intakeClosesAfterBdcDeg),
    eo: figure(cam?.exhaustOpensBeforeBdcDeg),
    ec: figure(cam?.exhaustClosesAfterTdcDeg),
    decompressor: decompressor.kind,
    heldFrom: decompressor.kind === 'arc' ? figure(decompressor.fromDeg) : '',
    heldTo: decompressor.kind === 'arc' ? figure(decompressor.toDeg) : '',
    heldOn:
      decompressor.kind === 'arc' ? (engine.cylinders.find(c => c.id === decompressor.cylinderId)?.name ?? '') : '',
    measuredAt: engine.measuredAt.kind,
    measuredDrop: engine.measuredAt.kind === 'past top' ? figure(engine.measuredAt.dropMm) : '',
    marks: marksText(engine.marks),
    markWindow: engine.markWindow,
    camMarks: camMarksText(engine.camMarks),
    stops: stopsText(engine),
    direction: engine.turning.direction,
    seenFrom: engine.turning.seenFrom,
    means: engine.turning.means,
    adjuster: adjuster.kind,
    head: adjuster.head,
    pitch: adjuster.pitchAssumed ? '' : threadText(adjuster),
    ratio: figure(adjuster.rockerRatio),
    locknut: figure(torques.locknutNm),
    cover: figure(torques.coverNm),
    plug: figure(torques.plugNm),
    tools: engine.tools,
    plugGap: engine.plugGap,
    coverPattern: engine.coverPattern,
    gasket: engine.gasket,
    stripDown: engine.stripDown.join('\n'),
    use: figure(engine.interval.use),
    months: figure(engine.interval.months),
    firstUse: figure(engine.interval.firstUse),
  }
}

/**
 * The plain fields of an engine, and beside them what they cannot say: `readSpec` of both gives the same engine.
 */
export function writeSpec(engine: Engine): { text: SpecText; exact: Exact } {
  const text = specText(engine)
  const exact: Exact = {}
  const differing = () => {
    const read = engineParts.safeParse({ ...candidate(text, exact).data, ...exact })
    const again = read.success ? read.data : (candidate(text, exact).data as unknown as Engine)
    return (Object.keys(FIELDS_OF) as (keyof Engine)[]).filter(key => !(key in exact) && !same(again[key], engine[key]))
  }
  // what is written of cylinders and valves decides how stops are read: until nothing differs
  for (let keys = differing(); keys.length > 0; keys = differing())
    for (const key of keys) Object.assign(exact, { [key]: engine[key] })
  return { text, exact }
}

/** Equal as data: the order of keys counts for nothing. */
export function same(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true
  if (
    typeof a !== 'object' ||
    typeof b !== 'object' ||
    a === null ||
    b === null ||
    Array.isArray(a) !== Array.isArray(b)
  )
    return false
  const keys = new Set([...Object.keys(a), ...Object.keys(b)])
  return [...keys].every(key => same((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key]))
}
