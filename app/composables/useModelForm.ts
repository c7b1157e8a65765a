import { reactive, watch } from 'vue'
import { parsePitch } from '~~/core/adjuster'
import type { VALVE_ADJUSTERS, Engine } from '~~/core/engine'
import { engineSchema, FIRING_INTERVALS } from '~~/core/engine'
import { parseCamMarks, parseClearance, parseCylinders, parseMarks, parseOtherFigures, parseStops } from './model-text'

const numberOr = (text: string, other: number | null): number | null => text.trim() === '' ? other : Number(text.replace(',', '.'))

/** What the cylinders of an engine are called and when they fire, for each interval people name. */
const CYLINDER_NAMES = [['Cylinder'], ['Left', 'Right'], ['Left', 'Right'], ['Left', 'Right'], ['1', '2', '3', '4']]
export const FIRING_CHOICES = FIRING_INTERVALS.map(({ name, anglesDeg }, i) => ({ label: name, value: anglesDeg.map((deg, n) => `${CYLINDER_NAMES[i]?.[n] ?? n + 1} ${deg}`).join(', ') }))

/** The plain form for a model, and how it becomes engine data. What is left empty is not claimed. */
export function useModelForm() {
  const model = reactive({ maker: '', model: '', code: '', kind: '' })
  const spec = reactive({
    unit: 'mm' as 'mm' | 'thou' | null, intake: '', exhaust: '', setWhen: 'cold' as 'cold' | 'hot' | null, coldLimit: '35',
    stroke: '', rod: '', layout: 'overhead cam' as Engine['layout'] | null, valves: 2 as 2 | 4 | null,
    firing: 'Cylinder 0' as string | null, cylinders: 'Cylinder 0', intakeBy: 'screw' as typeof VALVE_ADJUSTERS[number] | null, exhaustBy: 'screw' as typeof VALVE_ADJUSTERS[number] | null, heldOn: '', camMarks: '', stops: '', others: '', shimDiameter: '', shimStep: '0.05',
    camKnown: false, checkLift: '1', io: '', ic: '', eo: '', ec: '',
    decompressor: 'unknown' as 'none' | 'arc' | 'unknown' | null, heldFrom: '-120', heldTo: '10',
    marks: '', markWindow: '', direction: 'clockwise' as Engine['turning']['direction'] | null, seenFrom: '', means: '',
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

  // the interval that people name fills in names and angles, which may then be changed
  watch(() => spec.firing, (chosen) => { if (chosen) spec.cylinders = chosen })

  const valvesOf = (cylinders: Engine['cylinders']): Engine['valves'] => cylinders.flatMap((cylinder, c) => (['intake', 'exhaust'] as const).flatMap((role) => {
    const count = spec.valves === 4 ? 2 : 1
    return Array.from({ length: count }, (_, n) => {
      const kind = `${role}${count > 1 ? ` ${n + 1}` : ''}`
      const slots = cylinders.length * count
      return {
        id: `${cylinder.id}-${role}${count > 1 ? `-${n + 1}` : ''}`, cylinderId: cylinder.id, role,
        name: cylinders.length > 1 ? `${cylinder.name} ${kind}` : `${kind.charAt(0).toUpperCase()}${kind.slice(1)}`,
        headX: slots === 1 ? 0.5 : slots === 2 ? [0.28, 0.72][c * count + n]! : 0.12 + (c * count + n) * 0.76 / (slots - 1), headY: role === 'intake' ? 0.7 : 0.29,
        adjuster: (role === 'intake' ? spec.intakeBy : spec.exhaustBy) ?? 'screw',
      }
    })
  }))

  /** The engine data, or null with `wrong` saying which field and why. */
  function engine(): Engine | null {
    for (const key of Object.keys(wrong)) Reflect.deleteProperty(wrong, key)
    const intake = attempt('intake', () => parseClearance(spec.intake, spec.unit ?? 'mm'))
    const exhaust = attempt('exhaust', () => parseClearance(spec.exhaust, spec.unit ?? 'mm'))
    const otherClearances = attempt('others', () => parseOtherFigures(spec.others, spec.unit ?? 'mm'))
    const marks = attempt('marks', () => parseMarks(spec.marks))
    const cylinders = attempt('cylinders', () => parseCylinders(spec.cylinders)) ?? []
    const valves = valvesOf(cylinders)
    const camMarks = attempt('camMarks', () => parseCamMarks(spec.camMarks))
    const makersStops = attempt('stops', () => parseStops(spec.stops, { cylinders, marks: marks ?? [] }, valves))
    const heldOn = spec.heldOn.trim() === '' ? null : cylinders.find(c => c.name.toLowerCase() === spec.heldOn.trim().toLowerCase())?.id ?? spec.heldOn
    const parsed = engineSchema.safeParse({
      strokeMm: numberOr(spec.stroke, null), rodMm: numberOr(spec.rod, null), layout: spec.layout,
      cylinders, valves, camMarks: camMarks ?? [], makersStops: makersStops ?? [],
      cam: spec.camKnown ? { checkLiftMm: numberOr(spec.checkLift, null), intakeOpensBeforeTdcDeg: numberOr(spec.io, null), intakeClosesAfterBdcDeg: numberOr(spec.ic, null), exhaustOpensBeforeBdcDeg: numberOr(spec.eo, null), exhaustClosesAfterTdcDeg: numberOr(spec.ec, null) } : null,
      decompressor: spec.decompressor === 'arc' ? { kind: 'arc', role: 'exhaust', fromDeg: numberOr(spec.heldFrom, null), toDeg: numberOr(spec.heldTo, null), cylinderId: heldOn } : { kind: spec.decompressor },
      marks: marks ?? [], markWindow: spec.markWindow, turning: { direction: spec.direction, seenFrom: spec.seenFrom, means: spec.means },
      clearance: { intake, exhaust }, otherClearances: otherClearances ?? [],
      shim: spec.intakeBy === 'shim' || spec.exhaustBy === 'shim' ? { diameterMm: numberOr(spec.shimDiameter, null), stepMm: numberOr(spec.shimStep, null) } : null, setWhen: spec.setWhen, coldLimitC: numberOr(spec.coldLimit, 35),
      adjuster: { kind: spec.adjuster, head: spec.head, pitchMm: spec.pitch.trim() === '' ? 0.75 : attempt('pitch', () => parsePitch(spec.pitch)) ?? null, pitchAssumed: spec.pitch.trim() === '', rockerRatio: numberOr(spec.ratio, 1) },
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
  'strokeMm': 'stroke', 'shim.diameterMm': 'shimDiameter', 'shim.stepMm': 'shimStep', 'otherClearances': 'others', 'makersStops': 'stops', 'decompressor.cylinderId': 'heldOn', 'valves': 'cylinders', 'rodMm': 'rod', 'clearance.intake': 'intake', 'clearance.exhaust': 'exhaust', 'coldLimitC': 'coldLimit', 'turning.seenFrom': 'seenFrom', 'turning.means': 'means',
  'adjuster.pitchMm': 'pitch', 'adjuster.rockerRatio': 'ratio', 'torques.locknutNm': 'locknut', 'torques.coverNm': 'cover', 'torques.plugNm': 'plug', 'interval.use': 'use', 'interval.months': 'months',
}
const fieldOf = (path: PropertyKey[]): string => {
  const text = path.join('.')
  return Object.entries(FIELDS).find(([from]) => text.startsWith(from))?.[1] ?? String(path[0])
}
