import { type UnitKind, WRITTEN_UNITS, type WrittenUnit } from '../units'

/** What a figure on a page measures; `bare` has no unit. */
export type QuantityKind = UnitKind | 'bare'

/** One figure of a page, or its limits, with its unit and where it stands. */
export interface Quantity {
  kind: QuantityKind
  /** In mm, N·m, °C, the unit itself for use, months, degrees; unconverted where the kind is `other` or `bare`. */
  lo: number
  hi: number
  form: 'one' | 'limits' | 'tolerance'
  unit: string
  /** As printed, with its dash and its unit in one way of writing: 0.10–0.14 mm. */
  written: string
  start: number
  end: number
  /** Whether a letter stood where a digit was meant, as in O.10. */
  guessed: boolean
  /** The same in other units, in brackets behind. */
  also: Quantity[]
}

const UNIT = new RegExp(`^\\s{0,2}(?:${WRITTEN_UNITS.map(u => `(${u.shape.replaceAll(' ', '\\s')})`).join('|')})`, 'i')

/** A figure as printed, or as a camera reads it: a letter may stand for a digit that it looks like. */
const FIGURE = '(?:[\\dOoIl]*[.,])?[\\dOoIl]+(?:[.,]\\d+)*'
/** “2 1/4 in”, as inches are cut. */
const FRACTION = '(?:\\d+[ -])?[1-9]\\d?/(?:2|4|8|16|32|64)(?=\\s?(?:in\\b|inch|["″”]))'
const ONE = new RegExp(`(?<![\\w.,])(?:${FRACTION}|(?=[\\dOoIl.,]*\\d)${FIGURE}(?![A-Za-z]*\\d))`, 'g')
const BETWEEN = /^[^\S\n]*(?:[-‐‑‒–—―−~]|\.\.\.?)\s*$|^\s*\b(?:to|a|hasta|through)\b\s*$/i
/** A dash that begins a line parts limits only where its unit is still to come: elsewhere it begins an item. */
const BETWEEN_LINES = /^[^\S\n]*\n[^\S\n]*[-‐‑‒–—―−~]\s*$/
const PLUS_MINUS = /^\s*(?:±|\+\/-|\+-|\+\/−)\s*$/

const digits = (text: string): string => text.replaceAll(/[Oo]/g, '0').replaceAll(/[Il]/g, '1')
/** Thousands where a distance has them; elsewhere a comma or a point parts the fraction. */
function valueOf(text: string, kind: QuantityKind): number {
  const plain = digits(text)
  const cut = /^(?:(\d+)[ -])?(\d+)\/(\d+)$/.exec(plain)
  if (cut) return Number(cut[1] ?? 0) + Number(cut[2]) / Number(cut[3])
  if ((kind === 'use' || kind === 'other') && /^\d{1,3}([.,]\d{3})+$/.test(plain))
    return Number(plain.replaceAll(/[.,]/g, ''))
  return Number(plain.replace(',', '.'))
}

interface Found {
  text: string
  start: number
  end: number
  unit: WrittenUnit | null
  unitEnd: number
}
function figuresIn(page: string): Found[] {
  return [...page.matchAll(ONE)].map(match => {
    const start = match.index
    const text = match[0].replace(/[.,]$/, '')
    const end = start + text.length
    const tried = UNIT.exec(page.slice(end, end + 24))
    // “0,10 a 0,15”: a small a is a word between figures, and no amperes
    const after = tried?.[0].trim() === 'a' ? null : tried
    const unit = after ? WRITTEN_UNITS[after.slice(1).findIndex(Boolean)]! : null
    return { text, start, end, unit, unitEnd: after ? end + after[0].length : end }
  })
}

/** Every figure of a page in its order, limits and tolerances as one, units in brackets with the figure they repeat. */
export function quantitiesIn(page: string): Quantity[] {
  const found = figuresIn(page)
  const all: Quantity[] = []
  for (let i = 0; i < found.length; i++) {
    const first = found[i]!
    const next = found[i + 1]
    const gap = next && page.slice(first.unitEnd, next.start)
    const form =
      !next || gap === undefined
        ? 'one'
        : PLUS_MINUS.test(gap)
          ? 'tolerance'
          : BETWEEN.test(gap) || (!first.unit && next!.unit && BETWEEN_LINES.test(gap))
            ? 'limits'
            : 'one'
    const second = form === 'one' ? null : next!
    const unit = second?.unit ?? first.unit
    // 3-21 without a unit is a page, or a date
    const kind = unit?.kind ?? 'bare'
    const of = unit?.of ?? (value => value)
    const [a, b] = [valueOf(first.text, kind), second ? valueOf(second.text, kind) : Number.NaN]
    if (second) i++
    const [lo, hi] = form === 'tolerance' ? [a - b, a + b] : second ? [a, b] : [a, a]
    const mark = { limits: '–', tolerance: ' ± ', one: '' }[form]
    all.push({
      kind,
      lo: of(lo),
      hi: of(hi),
      form,
      unit: unit?.name ?? '',
      written: `${digits(first.text)}${second ? `${mark}${digits(second.text)}` : ''}${unit?.name ? ` ${unit.name}` : ''}`,
      start: first.start,
      end: second?.unitEnd ?? first.unitEnd,
      guessed: /[OoIl]/.test(first.text + (second?.text ?? '')),
      also: [],
    })
  }
  return grouped(page, all)
}

/** Puts figures in brackets with the one before that they repeat in another unit. */
function grouped(page: string, all: Quantity[]): Quantity[] {
  const kept: Quantity[] = []
  for (const q of all) {
    const before = kept.at(-1)
    const last = before?.also.at(-1) ?? before
    const gap = last ? page.slice(last.end, q.start) : ''
    const repeats = before && before.kind === q.kind && before.unit !== q.unit && /^\s*[([,;/=]\s*$/.test(gap)
    if (repeats && (/[([/=]/.test(gap) || before.also.length > 0)) before.also.push(q)
    else kept.push(q)
  }
  return kept
}
