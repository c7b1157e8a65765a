import { type Clearance, type Engine, type Role, unitSlip } from '../../engine'
import { spanOf, targetOf } from '../../feeler'
import { say } from '../../said'
import { formatLength, MM_PER_INCH, snapMm } from '../../units'
import type { SpecField } from '../spec-fields'
import { type Doubt, plain } from './doubt'

const printed = (clearance: Clearance): string =>
  /[a-z"″]/i.test(clearance.text) ? clearance.text : `${clearance.text} ${clearance.unit}`

/** Half of the last printed place of a figure, in mm: what rounding may have taken. */
function roundingMm(clearance: Clearance): number {
  const decimals = Math.max(0, ...[...clearance.text.matchAll(/[.,](\d+)/g)].map(m => m[1]!.length))
  const step = 10 ** -decimals / 2
  return clearance.unit === 'mm' ? step : clearance.unit === 'in' ? step * MM_PER_INCH : (step * MM_PER_INCH) / 1000
}
const figuresOf = (c: Clearance): number[] =>
  c.form === 'limits' ? [c.minMm, c.maxMm] : c.form === 'tolerance' ? [c.figureMm, c.toleranceMm] : [c.figureMm]

/** Ratios that a slip makes: a decimal place, or one unit taken for the other. */
const SLIPS = [10, 25.4, 100, 1000] as const
export type Slip = (typeof SLIPS)[number]
const slipOf = (ratio: number): Slip | null => SLIPS.find(times => Math.abs(ratio / times - 1) < 0.15) ?? null

/** A clearance printed in two units whose figures are not the same length. */
export function unitsDiffer(role: Role, first: Clearance, second: Clearance): Doubt[] {
  const [a, b] = [figuresOf(first), figuresOf(second)]
  const [x, y] = a.length === b.length && first.form === second.form ? [a, b] : [[targetOf(first)], [targetOf(second)]]
  const may = roundingMm(first) + roundingMm(second) + 1e-9
  const off = x.findIndex((v, i) => Math.abs(v - y[i]!) > may)
  if (off < 0) return []
  const [larger, smaller] = [Math.max(x[off]!, y[off]!), Math.min(x[off]!, y[off]!)]
  const slip = smaller > 0 ? slipOf(larger / smaller) : null
  return [
    {
      id: `units:${role}:${first.text}:${second.text}`,
      field: role === 'intake' ? 'intakeAlso' : 'exhaustAlso',
      says: say('doubt.units', {
        role,
        other: printed(second),
        otherMm: plain(y[off]!, 3),
        mm: plain(x[off]!, 3),
        slip,
        apartMm: plain(larger - smaller, 3),
      }),
      readings: [printed(first), printed(second)],
    },
  ]
}

/** A figure that no small engine is set to: most often one of another unit or with a decimal place slipped. */
export function outside(role: Role, clearance: Clearance, field: SpecField = role): Doubt[] {
  const { minMm, maxMm } = spanOf(clearance)
  const [mm, slip] = [maxMm, minMm].map(v => [v, unitSlip(v)] as const).find(([, s]) => s) ?? [0, null]
  return slip
    ? [
        {
          id: `range:${field}:${role}:${clearance.text}`,
          field,
          says: say('doubt.range', { role, slip }),
          readings: [
            `${plain(mm)} mm`,
            slip.meant.length ? say('doubt.meant', { meant: slip.meant }) : say('doubt.another-figure'),
          ],
        },
      ]
    : []
}

/** Intake and exhaust so far apart that a place may have slipped in one, or exchanged. */
export function betweenRoles(clearance: Engine['clearance']): Doubt[] {
  const [intake, exhaust] = [targetOf(clearance.intake), targetOf(clearance.exhaust)]
  const readings: Doubt['readings'] = [
    say('doubt.figure-of', { role: 'intake', figure: printed(clearance.intake) }),
    say('doubt.figure-of', { role: 'exhaust', figure: printed(clearance.exhaust) }),
  ]
  const ratio = Math.max(intake, exhaust) / Math.min(intake, exhaust)
  const slip = slipOf(ratio)
  const id = `${clearance.intake.text}:${clearance.exhaust.text}`
  if (slip)
    return [
      {
        id: `tenfold:${id}`,
        field: 'exhaust',
        says: say('doubt.tenfold', { slip }),
        readings,
      },
    ]
  return exhaust < intake - 1e-9
    ? [
        {
          id: `tighter:${id}`,
          field: 'exhaust',
          says: say('doubt.tighter'),
          readings,
        },
      ]
    : []
}

/** Small engines are seldom set wider or closer than this in both fields. mm, from memory */
const BOTH_SELDOM_MM = { over: 0.4, under: 0.04 }
/** A place slipped in both fields: neither looks odd beside the other. */
export function bothTenfold({ intake, exhaust }: Engine['clearance']): Doubt[] {
  const figures = [targetOf(intake), targetOf(exhaust)]
  const times = figures.every(mm => mm >= BOTH_SELDOM_MM.over)
    ? 0.1
    : figures.every(mm => mm <= BOTH_SELDOM_MM.under)
      ? 10
      : 0
  if (times === 0) return []
  const both = (by: number) => say('doubt.both-mm', { mm: figures.map(mm => plain(mm * by, 3)) })
  return [
    {
      id: `both:${intake.text}:${exhaust.text}`,
      field: 'intake',
      says: say('doubt.both', { wide: times < 1, meantMm: figures.map(mm => plain(mm * times, 3)) }),
      readings: [both(1), both(times)],
    },
  ]
}

/** A tolerance that is wider than its figure: a decimal place may have slipped. */
export function tooWide(role: Role, clearance: Clearance): Doubt[] {
  if (clearance.form !== 'tolerance' || snapMm(clearance.toleranceMm * 2) <= clearance.figureMm) return []
  const { toleranceMm, figureMm, text } = clearance
  return [
    {
      id: `wide:${role}:${text}`,
      field: role,
      says: say('doubt.wide', {
        role,
        widthMm: formatLength(toleranceMm * 2, 'mm'),
        figureMm: formatLength(figureMm, 'mm'),
        meantMm: plain(toleranceMm / 10),
      }),
      readings: [`± ${plain(toleranceMm)} mm`, `± ${plain(toleranceMm / 10)} mm`],
    },
  ]
}
