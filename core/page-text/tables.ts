import { type Said, say } from '../said'
import type { PageFinding } from './finding'
import type { Label } from './labels'
import type { Quantity } from './quantities'

/** A bare figure up to here is millimetres where valves have it, and one of a few thousandths is inches. */
const INCH_MOST = 0.025
const UNIT_HEAD = /\((mm|in|inch(?:es)?|thou|pulg(?:adas)?)\.?\)|\b(mm|inch(?:es)?|thou)\b/i

/** Clearances in columns: a line of roles, and a line of bare figures below it. The unit may stand in a line above. */
export function tableFindings(page: string, labels: Label[], quantities: Quantity[]): PageFinding[] {
  const findings: PageFinding[] = []
  let start = 0
  const lines = page.split('\n').map(text => {
    const line = { start, end: start + text.length }
    start += text.length + 1
    return line
  })
  lines.forEach((line, i) => {
    const below = lines.slice(i + 1).find(l => page.slice(l.start, l.end).trim() !== '')
    const roles = labels.filter(
      l => ['intake', 'exhaust'].includes(l.topic) && l.start >= line.start && l.end <= line.end,
    )
    if (roles.length < 2 || !below || quantities.some(q => q.start >= line.start && q.end <= line.end)) return
    const cells = quantities.filter(q => q.start >= below.start && q.end <= below.end)
    if (cells.length !== roles.length || !cells.every(q => q.kind === 'bare' || q.kind === 'length')) return
    const above = lines
      .slice(0, i)
      .filter(l => page.slice(l.start, l.end).trim() !== '')
      .at(-1)
    const titled = above && !quantities.some(q => q.start >= above.start && q.end <= above.end)
    const named = UNIT_HEAD.exec(page.slice(titled ? above.start : line.start, line.end))
    const word = (named?.[1] ?? named?.[2])?.toLowerCase()
    roles.forEach((role, n) => {
      const cell = cells[n]!
      if (cell.kind === 'length') return
      const unit = word
        ? word === 'mm' || word === 'thou'
          ? word
          : 'in'
        : cell.hi <= INCH_MOST
          ? 'in'
          : cell.hi < 1
            ? 'mm'
            : 'thou'
      const doubts: Said[] = word ? [] : [say('page.no-unit', { unit })]
      findings.push({
        field: role.topic as 'intake' | 'exhaust',
        text: `${cell.written} ${unit}`,
        start: cell.start,
        end: cell.end,
        doubts,
      })
    })
  })
  return findings
}
