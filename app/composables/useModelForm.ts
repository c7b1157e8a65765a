import { reactive } from 'vue'
import { type Clearance, type Engine, engineSchema, type Mark } from '~~/core/engine'
import { FigureError, parseLength } from '~~/core/units'

/** One clearance as it is typed: “0.08–0.12”, “0.16 ± 0.03”, “4 thou”. @throws FigureError with what to type instead */
export function parseClearance(text: string, unit: 'mm' | 'thou'): Clearance {
  const value = (part: string) => parseLength(part, unit)
  const tolerance = /^(.+?)(?:±|\+\/-|\+-)(.+)$/.exec(text)
  if (tolerance) {
    const toleranceUnit = value(tolerance[2]!).unit
    const figure = parseLength(tolerance[1]!, toleranceUnit)
    return { form: 'tolerance', figureMm: figure.mm, toleranceMm: value(tolerance[2]!).mm, text: text.trim(), unit: figure.unit }
  }
  const range = /^(.+?)(?:–|—|-|\bto\b)(.+)$/.exec(text)
  if (range) {
    const max = value(range[2]!)
    return { form: 'limits', minMm: parseLength(range[1]!, max.unit).mm, maxMm: max.mm, text: text.trim(), unit: max.unit }
  }
  const figure = value(text)
  return { form: 'bare', figureMm: figure.mm, text: text.trim(), unit: figure.unit }
}

/** Marks as typed: “T 0, F 346”. A letter F fires, A is an advance mark, all else is top. */
export function parseMarks(text: string): Mark[] {
  return text.split(/[,;]/).map(part => part.trim()).filter(Boolean).map((part) => {
    const match = /^(\S+)\s+(-?\d+(?:\.\d+)?)°?$/.exec(part)
    if (!match) throw new FigureError(part, 'is not a mark. Type letter and degrees, such as T 0, F 346.')
    const letter = match[1]!
    return { letter, angleDeg: Number(match[2]), kind: letter.toUpperCase() === 'F' ? 'fire' : letter.toUpperCase() === 'A' ? 'advance' : 'top' }
  })
}

const numberOr = (text: string, other: number | null): number | null => text.trim() === '' ? other : Number(text.replace(',', '.'))

/** The plain form for a one-cylinder model, and how it becomes engine data. What is left empty is not claimed. */
export function useModelForm() {
  const model = reactive({ maker: '', model: '', code: '', kind: '' })
  const spec = reactive({
    unit: 'mm' as 'mm' | 'thou' | null, intake: '', exhaust: '', setWhen: 'cold' as 'cold' | 'hot' | null, coldLimit: '35',
    stroke: '', rod: '', layout: 'overhead cam' as Engine['layout'] | null, valves: 2 as 2 | 4 | null,
    camKnown: false, checkLift: '1', io: '', ic: '', eo: '', ec: '',
    decompressor: 'unknown' as 'none' | 'arc' | 'unknown' | null, heldFrom: '-120', heldTo: '10',
    marks: 'T 0', markWindow: '', direction: 'clockwise' as Engine['turning']['direction'] | null, seenFrom: '', means: '',
    adjuster: 'valve-end' as Engine['adjuster']['kind'] | null, head: 'slot' as Engine['adjuster']['head'] | null, pitch: '', ratio: '1',
    locknut: '', cover: '', plug: '', tools: '', plugGap: '', coverPattern: 'crosswise', gasket: '', stripDown: '', use: '', months: '12', source: '', sourceDate: '',
  })
  const wrong = reactive<Record<string, string>>({})

  function attempt<T>(field: string, work: () => T): T | undefined {
    try { return work() }
    catch (error) {
      wrong[field] = error instanceof Error ? error.message : 'That is not right.'
      return undefined
    }
  }

  const valvesOf = (): Engine['valves'] => (['intake', 'exhaust'] as const).flatMap((role) => {
    const y = role === 'intake' ? 0.7 : 0.29
    const name = role === 'intake' ? 'Intake' : 'Exhaust'
    return spec.valves === 4
      ? [1, 2].map(n => ({ id: `${role}-${n}`, cylinderId: 'only', role, name: `${name} ${n}`, headX: n === 1 ? 0.3 : 0.7, headY: y }))
      : [{ id: role, cylinderId: 'only', role, name, headX: 0.5, headY: y }]
  })

  /** The engine data, or null with `wrong` saying which field and why. */
  function engine(): Engine | null {
    for (const key of Object.keys(wrong)) Reflect.deleteProperty(wrong, key)
    const intake = attempt('intake', () => parseClearance(spec.intake, spec.unit ?? 'mm'))
    const exhaust = attempt('exhaust', () => parseClearance(spec.exhaust, spec.unit ?? 'mm'))
    const marks = attempt('marks', () => parseMarks(spec.marks))
    const parsed = engineSchema.safeParse({
      strokeMm: numberOr(spec.stroke, null), rodMm: numberOr(spec.rod, null), layout: spec.layout,
      cylinders: [{ id: 'only', name: 'Cylinder', firingAngleDeg: 0 }], valves: valvesOf(),
      cam: spec.camKnown ? { checkLiftMm: numberOr(spec.checkLift, null), intakeOpensBeforeTdcDeg: numberOr(spec.io, null), intakeClosesAfterBdcDeg: numberOr(spec.ic, null), exhaustOpensBeforeBdcDeg: numberOr(spec.eo, null), exhaustClosesAfterTdcDeg: numberOr(spec.ec, null) } : null,
      decompressor: spec.decompressor === 'arc' ? { kind: 'arc', role: 'exhaust', fromDeg: numberOr(spec.heldFrom, null), toDeg: numberOr(spec.heldTo, null) } : { kind: spec.decompressor },
      marks: marks ?? [], markWindow: spec.markWindow || 'the window', turning: { direction: spec.direction, seenFrom: spec.seenFrom, means: spec.means },
      clearance: { intake, exhaust }, setWhen: spec.setWhen, coldLimitC: numberOr(spec.coldLimit, 35),
      adjuster: { kind: spec.adjuster, head: spec.head, pitchMm: numberOr(spec.pitch, 0.75), pitchAssumed: spec.pitch.trim() === '', rockerRatio: numberOr(spec.ratio, 1) },
      torques: { locknutNm: numberOr(spec.locknut, null), coverNm: numberOr(spec.cover, null), plugNm: numberOr(spec.plug, null) },
      tools: spec.tools, plugGap: spec.plugGap, coverPattern: spec.coverPattern, gasket: spec.gasket,
      stripDown: spec.stripDown.split(/\n|;/).map(s => s.trim()).filter(Boolean),
      interval: { use: numberOr(spec.use, null), months: numberOr(spec.months, null) }, source: spec.source, sourceDate: spec.sourceDate,
    })
    for (const issue of parsed.error?.issues ?? []) wrong[fieldOf(issue.path)] ??= issue.message
    return parsed.success && Object.keys(wrong).length === 0 ? parsed.data : null
  }

  return { model, spec, wrong, engine }
}

const FIELDS: Record<string, string> = {
  'strokeMm': 'stroke', 'rodMm': 'rod', 'clearance.intake': 'intake', 'clearance.exhaust': 'exhaust', 'coldLimitC': 'coldLimit', 'turning.seenFrom': 'seenFrom', 'turning.means': 'means',
  'adjuster.pitchMm': 'pitch', 'adjuster.rockerRatio': 'ratio', 'torques.locknutNm': 'locknut', 'torques.coverNm': 'cover', 'torques.plugNm': 'plug', 'interval.use': 'use', 'interval.months': 'months',
}
const fieldOf = (path: PropertyKey[]): string => {
  const text = path.join('.')
  return Object.entries(FIELDS).find(([from]) => text.startsWith(from))?.[1] ?? String(path[0])
}
