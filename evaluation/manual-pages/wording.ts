import { type Chance, type PageFacts, pick, type Printed, type Torque } from './facts'

const KGF_M = 9.80665
const LBF_FT = 1.3558179483
const LBF_IN = 0.112984829

/** How a page writes its numbers: dashes, degrees of care with units, decimal marks. */
export interface Hand {
  dash: string
  plusMinus: string
  nm: string
  ftlb: string
  inlb: string
  inch: string
  space: string
}
export const HANDS: Hand[] = [
  { dash: '–', plusMinus: '±', nm: 'N·m', ftlb: 'lbf·ft', inlb: 'lbf·in', inch: 'in', space: ' ' },
  { dash: ' - ', plusMinus: '±', nm: 'Nm', ftlb: 'ft-lb', inlb: 'in-lb', inch: 'in.', space: ' ' },
  { dash: ' to ', plusMinus: '+/-', nm: 'N.m', ftlb: 'ft. lbs.', inlb: 'in. lbs.', inch: '"', space: '' },
  { dash: '-', plusMinus: '±', nm: 'N-m', ftlb: 'lb-ft', inlb: 'lb-in', inch: ' inch', space: ' ' },
  { dash: '~', plusMinus: ' ± ', nm: 'N•m', ftlb: 'lbf-ft', inlb: 'lbf-in', inch: ' in', space: '' },
  {
    dash: ' — ',
    plusMinus: ' +/- ',
    nm: 'newton metres',
    ftlb: 'foot-pounds',
    inlb: 'inch-pounds',
    inch: '″',
    space: ' ',
  },
]

export class Writer {
  constructor(
    readonly facts: PageFacts,
    readonly hand: Hand,
  ) {}
  private mark = (text: string): string =>
    this.facts.decimalComma && this.facts.units.startsWith('mm') ? text.replaceAll('.', ',') : text
  private dash = (): string => (this.facts.spanish && this.hand.dash === ' to ' ? ' a ' : this.hand.dash)
  private mm = (hundredths: number): string => (hundredths / 100).toFixed(2)
  private inch(hundredths: number, bare = false): string {
    const text = (hundredths / 2540).toFixed(Math.abs(hundredths / 2.54 - Math.round(hundredths / 2.54)) < 0.01 ? 3 : 4)
    return bare || this.hand.inch === ' inch' ? text : text.replace(/^0/, '')
  }
  private figures(c: Printed, one: (hundredths: number) => string): string {
    return c.form === 'limits'
      ? `${one(c.lo)}${this.dash()}${one(c.hi)}`
      : c.form === 'tolerance'
        ? `${one(c.at)}${this.hand.plusMinus}${one(c.by)}`
        : one(c.at)
  }
  private inMm = (c: Printed): string => `${this.mark(this.figures(c, this.mm))}${this.hand.space}mm`
  private inInch = (c: Printed): string =>
    `${this.figures(c, h => this.inch(h))}${this.hand.inch === '"' || this.hand.inch === '″' ? this.hand.inch : ` ${this.hand.inch.trim()}`}`
  /** A clearance with its units. */
  clearance(c: Printed): string {
    switch (this.facts.units) {
      case 'mm':
        return this.inMm(c)
      case 'in':
        return this.inInch(c)
      case 'thou':
        return `${this.figures(c, h => String(Math.round(h / 2.54)))} thou`
      case 'mm (in)':
        return `${this.inMm(c)} (${this.inInch(c)})`
      default:
        return `${this.inInch(c)} (${this.inMm(c)})`
    }
  }
  /** A clearance without its unit, for a table whose head has it; null where the page has two units. */
  bare(c: Printed): string | null {
    if (this.facts.units === 'mm') return this.mark(this.figures(c, this.mm))
    return this.facts.units === 'in' ? this.figures(c, h => this.inch(h, true)) : null
  }
  torque({ lo, hi }: Torque): string {
    const span = (per: number, places: number): string => {
      const one = (nm: number) => this.mark((nm / per).toFixed(places))
      return one(lo) === one(hi) ? one(lo) : `${one(lo)}${this.dash()}${one(hi)}`
    }
    const nm = `${span(1, 0)} ${this.hand.nm}`
    const ftlb = `${span(LBF_FT, 1)} ${this.hand.ftlb}`
    switch (this.facts.torqueUnits) {
      case 'N·m':
        return nm
      case 'lbf·ft':
        return ftlb
      case 'N·m (lbf·ft)':
        return `${nm} (${ftlb})`
      case 'kgf·m':
        return `${span(KGF_M, 2)} kgf·m`
      case 'N·m (kgf·m, lbf·ft)':
        return `${nm} (${span(KGF_M, 1)} kgf·m, ${ftlb})`
      default:
        return `${span(LBF_IN, 0)} ${this.hand.inlb} (${nm})`
    }
  }
  length = (mm: number): string => `${this.mark(mm.toFixed(1))}${this.hand.space}mm`
  gap([lo, hi]: [number, number]): string {
    return `${this.mark(lo === hi ? lo.toFixed(1) : `${lo.toFixed(1)}${this.dash()}${hi.toFixed(1)}`)} mm`
  }
  distance(figure: number, unit: 'km' | 'mi' | 'h', chance: Chance): string {
    const grouped =
      figure >= 1000
        ? pick(chance, [
            String(figure),
            this.facts.spanish
              ? `${figure / 1000}.000`.replace(/(\d)\.(\d)\.000/, '$1.$2')
              : figure.toLocaleString('en-US'),
          ])
        : String(figure)
    const words = this.facts.spanish
      ? { km: 'km', mi: 'millas', h: 'horas' }
      : { km: 'km', mi: pick(chance, ['miles', 'mi']), h: pick(chance, ['hours', 'hrs', 'operating hours']) }
    return `${grouped} ${words[unit]}`
  }
  temperature(c: number): string {
    return pick(
      () => (c % 3) / 3,
      [`${c} °C`, `${c}°C (${Math.round(c * 1.8 + 32)}°F)`, `${Math.round(c * 1.8 + 32)} °F`],
    )
  }
}
