import { readPage } from '../../core/page-text'
import { parseClearance, type SpecField } from '../../core/spec-book'
import { readLength, readTemperature, readTorque } from '../../core/units'
import type { Printed } from './facts'
import type { ManualPage, PageFacts } from './index'

/** What a page states for a field, as somebody who knows the page would judge a text typed into it. */
type Judge = (text: string) => boolean
const near = (a: number, b: number, by: number): boolean => Math.abs(a - b) <= by
const isClearance =
  (c: Printed): Judge =>
  text => {
    const read = parseClearance(text, 'mm')
    // a page in inches has four decimals at most, in millimetres two
    const by = 0.0101
    if (read.form !== c.form) return false
    return read.form === 'limits' && c.form === 'limits'
      ? near(read.minMm, c.lo / 100, by) && near(read.maxMm, c.hi / 100, by)
      : read.form === 'tolerance' && c.form === 'tolerance'
        ? near(read.figureMm, c.at / 100, by) && near(read.toleranceMm, c.by / 100, by)
        : read.form === 'bare' && c.form === 'bare' && near(read.figureMm, c.at / 100, by)
  }
const isNumber =
  (value: number): Judge =>
  text =>
    Number(text) === value

function statedBy(f: PageFacts, text: string): Partial<Record<SpecField, Judge>> {
  const has = (words: RegExp) => words.test(text)
  const torque = (t: { lo: number; hi: number } | null): Judge | undefined =>
    t ? given => near(readTorque(given).value, (t.lo + t.hi) / 2, 0.6) : undefined
  const all: Partial<Record<SpecField, Judge | undefined | null | false>> = {
    intake: isClearance(f.intake),
    exhaust: isClearance(f.exhaust),
    locknut: torque(f.torques.locknut),
    cover: torque(f.torques.cover),
    plug: torque(f.torques.plug),
    plugGap: given => given.replaceAll(',', '.').startsWith(f.plugGap[0].toFixed(1)),
    use: f.use && isNumber(f.use.figure),
    firstUse: f.firstUse !== null && has(/first at|initial|primera/i) && isNumber(f.firstUse),
    months: f.months !== null && has(/months|meses/) && isNumber(f.months),
    coldLimit: f.coldC !== null && (given => near(readTemperature(given).value, f.coldC!, 0.6)),
    bore: f.bore !== null && has(/bore|diámetro/i) && (given => near(readLength(given).value, f.bore!, 0.001)),
    stroke:
      f.stroke !== null && has(/stroke(?!\.)|carrera/i) && (given => near(readLength(given).value, f.stroke!, 0.001)),
    direction: f.turning !== null && (given => given === f.turning),
  }
  return Object.fromEntries(Object.entries(all).filter(([, judge]) => judge)) as Partial<Record<SpecField, Judge>>
}
export interface Measured {
  all: number
  right: number
  /** Read wrongly, and nothing doubted: what must not be. */ wrong: string[]
  doubted: string[]
  missed: string[]
}

/** Reads pages and holds each figure against what the page states. */
export function measure(pages: ManualPage[]): Measured {
  const result: Measured = { all: 0, right: 0, wrong: [], doubted: [], missed: [] }
  for (const { seed, facts, text } of pages) {
    const stated = statedBy(facts, text)
    const { findings } = readPage(text)
    for (const [field, judge] of Object.entries(stated) as [SpecField, Judge][]) {
      const read = findings.filter(f => f.field === field)
      result.all++
      const right = read.length > 0 && read.every(r => judge(r.text))
      const line = `${seed} ${field}: ${read.map(r => r.text).join(' | ') || 'nothing'}`
      if (right) result.right++
      else if (read.length === 0) result.missed.push(line)
      else if (read.every(r => r.doubts.length > 0)) result.doubted.push(line)
      else result.wrong.push(line)
    }
    for (const finding of findings.filter(f => !(f.field in stated) && !/Also$|mark|measuredAt/.test(f.field)))
      (finding.doubts.length ? result.doubted : result.wrong).push(
        `${seed} ${finding.field} is not stated: ${finding.text}`,
      )
  }
  return result
}
