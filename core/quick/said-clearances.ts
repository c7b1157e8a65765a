import { type Clearance, clearanceSchema, isUsualClearance, type Role } from '../engine'
import { formatLength, type LengthUnit, MM_PER_INCH, mmFromThou, snapMm } from '../units'

/** Both clearances as somebody said them in one breath, read in one of the ways in which they may have been meant. */
export interface SaidClearances {
  /** How the figures were read: in mm, in hundredths or tenths of a mm, in thou, or in inches. */
  as: SaidUnit
  clearance: Record<Role, Clearance>
  /** Said in the other order than usual: the exhaust came out the tighter one. */
  exhaustTighter: boolean
}
export const SAID_UNITS = ['mm', 'hundredths', 'tenths', 'thou', 'in'] as const
export type SaidUnit = (typeof SAID_UNITS)[number]

/** What units are called, in English and Spanish, in any number and with or without a period. */
const UNITS: [RegExp, SaidUnit][] = [
  [/\b(?:hundredths?|cent[eé]simas?)\b/i, 'hundredths'],
  [/\b(?:mil[eé]simas?(?: de pulgada)?|thou(?:sandths?)?|mils?)\b/i, 'thou'],
  [/(?:\b(?:inch(?:es)?|pulgadas?|pulg)\b|["″])/i, 'in'],
  [/\b(?:mm|millimet(?:er|re)s?|mil[ií]metros?)\b/i, 'mm'],
]
/** “in” is also how an intake is written: it is the unit behind a figure with a point that no other unit has. */
const INCH_BEHIND = /\d\s*in\b(?!\s*[:=]?\s*[.\d])/i

const FIGURE = String.raw`(?:\d+(?:[.,]\d+)?|[.,]\d+)`
const ROLE_WORDS = String.raw`(?:intakes?|inlets?|int?|adm(?:isi[oó]n)?|exhausts?|exh?|esc(?:ape)?)`
/** A figure or a range, with the valve's name before or behind where one was said. */
const ITEM = new RegExp(
  String.raw`(?:\b(${ROLE_WORDS})\b\.?\s*[:=]?\s*)?(${FIGURE})(?:\s*(?:–|—|-|\bto\b)\s*(${FIGURE}))?`,
  'gi',
)
/** Most of these engines are set near these, cold, mm. Common practice. */
const USUAL_MM: Record<Role, number> = { intake: 0.1, exhaust: 0.15 }

const TO_MM: Record<SaidUnit, (value: number) => number> = {
  mm: snapMm,
  hundredths: value => snapMm(value / 100),
  tenths: value => snapMm(value / 10),
  thou: mmFromThou,
  in: value => snapMm(value * MM_PER_INCH),
}
const unitOf = (as: SaidUnit): LengthUnit => (as === 'hundredths' || as === 'tenths' ? 'mm' : as)

interface Item {
  role: Role | null
  figures: number[]
}
function itemsOf(text: string): Item[] {
  return [...text.matchAll(ITEM)].map(([, word, from, to]) => ({
    role: word ? (/^e/i.test(word) ? 'exhaust' : 'intake') : null,
    figures: [from, to].flatMap(part => (part === undefined ? [] : [Number(part.replace(',', '.'))])),
  }))
}

/** What may stand between figures without changing them. */
const BETWEEN = /\b(?:and|y|e|by|each|both|ambas|valves?|v[aá]lvulas?|cold|fr[ií]o|in|de)\b/gi
/** Whether all that was written is figures, valves and units: a word that is none of these may change what is meant. */
const allRead = (text: string): boolean =>
  !/[\p{L}]/u.test(
    UNITS.reduce((left, [unit]) => left.replaceAll(new RegExp(unit, 'gi'), ' '), text)
      .replaceAll(ITEM, ' ')
      .replaceAll(BETWEEN, ' '),
  )

/** What was said of each valve: by its name, else intake first; one figure is for both. Null where it is not that. */
function byRole(items: Item[]): Record<Role, number[]> | null {
  const [one, two, ...more] = items
  if (!one || more.length > 0) return null
  if (!two) return { intake: one.figures, exhaust: one.figures }
  if (one.role === two.role && one.role !== null) return null
  const first = one.role ?? (two.role === 'intake' ? 'exhaust' : 'intake')
  return first === 'intake'
    ? { intake: one.figures, exhaust: two.figures }
    : { intake: two.figures, exhaust: one.figures }
}

function clearanceOf(figures: number[], as: SaidUnit): Clearance | null {
  const lengths = figures.map(TO_MM[as])
  const [from, to] = lengths
  if (from === undefined || !lengths.every(isUsualClearance)) return null
  const unit = unitOf(as)
  const text = [from, to].flatMap(mm => (mm === undefined ? [] : [formatLength(mm, unit)])).join('–')
  const given =
    to === undefined
      ? { form: 'bare', figureMm: from, text, unit }
      : { form: 'limits', minMm: from, maxMm: to, text, unit }
  const parsed = clearanceSchema.safeParse(given)
  return parsed.success ? parsed.data : null
}
const figureOf = (clearance: Clearance): number =>
  clearance.form === 'limits' ? (clearance.minMm + clearance.maxMm) / 2 : clearance.figureMm

/** How far from what is usual, as a ratio's logarithm: so that “4 and 6” is thou and “10 15” hundredths. */
const oddness = ({ clearance }: SaidClearances): number =>
  Math.abs(Math.log(figureOf(clearance.intake) / USUAL_MM.intake)) +
  Math.abs(Math.log(figureOf(clearance.exhaust) / USUAL_MM.exhaust))

/**
 * The ways in which bare figures are said: whole ones are hundredths or thou, with a point they are mm or inches; and
 * “1.0 1.5” is thou, or a slip of ten.
 */
function waysOf(text: string, figures: number[]): SaidUnit[] {
  const told = UNITS.find(([pattern]) => pattern.test(text))?.[1] ?? (INCH_BEHIND.test(text) ? 'in' : null)
  if (told) return [told]
  if (!figures.every(f => f >= 1)) return ['mm', 'in']
  return figures.every(Number.isInteger) && !/[.,]/.test(text) ? ['hundredths', 'thou'] : ['thou', 'tenths']
}

/**
 * Reads clearances as they are said at a bench: “0.10 0.15”, “.004 .006”, “4 and 6 thou”, “in 0.08-0.12, ex 0.13-0.17”,
 * one figure for both. The intake comes first where no valve is named.
 * @returns the readings that these engines can have, the likelier first; none where nothing fits. Two are for a person
 *   to choose between: a figure is never taken in a unit that was only guessed at while another fits as well.
 */
export function readSaidClearances(text: string): SaidClearances[] {
  const items = itemsOf(text)
  const given = byRole(items)
  if (!given || !allRead(text)) return []
  return waysOf(
    text,
    items.flatMap(i => i.figures),
  )
    .flatMap((as): SaidClearances[] => {
      const intake = clearanceOf(given.intake, as)
      const exhaust = clearanceOf(given.exhaust, as)
      if (!intake || !exhaust) return []
      return [{ as, clearance: { intake, exhaust }, exhaustTighter: figureOf(exhaust) < figureOf(intake) }]
    })
    .sort((a, b) => oddness(a) - oddness(b))
}
