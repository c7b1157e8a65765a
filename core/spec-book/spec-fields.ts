import { type Engine, MEASURED_FIELDS, type MeasuredField } from '../engine'
import type { Text } from '../said'

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
  superseded: '',
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
  turnedWith: '',
  adjuster: 'valve-end',
  head: 'slot',
  lockedBy: '',
  headSize: '',
  nutSize: '',
  pitch: '',
  ratio: '1',
  locknut: '',
  cover: '',
  plug: '',
  tools: '',
  plugGap: '',
  plugUse: '',
  plugMonths: '',
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
/** A form in which nothing was typed. */
export const emptySpec = (): SpecText => ({ ...SPEC_DEFAULTS })

/**
 * What of an engine the plain fields cannot say, kept beside them: valves with names or places of their own, and the
 * like.
 */
export type Exact = Partial<Engine>

/** Which fields say which part of the engine. Where they still say what they said, the exact part stands. */
export const FIELDS_OF: Record<keyof Engine, SpecField[]> = {
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
  turning: ['direction', 'seenFrom', 'means', 'turnedWith'],
  adjuster: ['adjuster', 'head', 'lockedBy', 'headSize', 'nutSize', 'pitch', 'ratio'],
  torques: ['locknut', 'cover', 'plug'],
  tools: ['tools'],
  plugGap: ['plugGap'],
  plugLife: ['plugUse', 'plugMonths'],
  coverPattern: ['coverPattern'],
  gasket: ['gasket'],
  stripDown: ['stripDown'],
  interval: ['use', 'months', 'firstUse'],
  // these have no plain field: they are kept beside them, whatever the fields say
  parts: [],
  safe: [],
  heads: [],
  superseded: ['superseded'],
  assumed: ['stroke', 'seenFrom', 'means'],
  printed: Object.keys(MEASURED_FIELDS) as MeasuredField[],
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
  'turning.by': 'turnedWith',
  'adjuster.kind': 'adjuster',
  'adjuster.head': 'head',
  'adjuster.lockedBy': 'lockedBy',
  'adjuster.headMm': 'headSize',
  'adjuster.nutMm': 'nutSize',
  'adjuster.pitchMm': 'pitch',
  'adjuster.threadMm': 'pitch',
  'adjuster.rockerRatio': 'ratio',
  'torques.locknutNm': 'locknut',
  'torques.coverNm': 'cover',
  'torques.plugNm': 'plug',
  'parts': 'stripDown',
  'safe': 'stripDown',
  'heads': 'cylinders',
  'superseded': 'superseded',
  'interval.use': 'use',
  'interval.months': 'months',
  'interval.firstUse': 'firstUse',
}
/**
 * The field at which a problem with a part of the engine is shown.
 * @returns the source’s field where no other fits
 */
export function fieldAt(path: PropertyKey[]): SpecField {
  if (path[0] === 'printed') return path[1] as SpecField
  const text = path.join('.')
  return (
    Object.entries(FIELD_AT).find(([from]) => text.startsWith(from))?.[1] ??
    FIELDS_OF[String(path[0]) as keyof Engine]?.[0] ??
    'source'
  )
}
