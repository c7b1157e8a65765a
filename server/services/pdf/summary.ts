import { LOCALE } from '../../../core/units'
import type { CustomerSummary } from '../../../shared/machines'
import { type Paper, PdfPaper } from './paper'

const day = (iso: string) =>
  new Date(iso).toLocaleDateString(LOCALE, { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' })

/** A year of an owner's machines as PDF: to lay beside the bill. */
export function summaryPdf(paper: Paper, s: CustomerSummary): Promise<Buffer> {
  const pdf = new PdfPaper(paper, 1, { title: `${s.customer.name}, ${s.year}`, author: s.shop, at: new Date(s.today) })
  pdf.heading(`${s.customer.name}: valves in ${s.year}`, 19)
  pdf.paragraph(`${s.shop}. Written on ${day(s.today)}.`, { gray: true })
  pdf.space(4)
  pdf.line(1.4)
  for (const m of s.machines) {
    pdf.space(3)
    pdf.heading(`${m.name}, tag ${m.tag}`, 12)
    pdf.paragraph(m.model, { gray: true })
    const rows = [
      ...m.visits.map(v => [v.day, v.number === null ? 'from paper' : `job ${v.number}`, v.meter, v.words]),
      ...m.records.map(r => [r.day, '', '', r.words]),
    ].sort((a, b) => (a[0]! < b[0]! ? -1 : 1))
    if (rows.length)
      pdf.table(
        [
          ['Day', 1],
          ['', 0.8],
          ['Meter', 1],
          ['What was done', 3.4],
        ].map(([title, part]) => ({ title: title as string, part: part as number })),
        rows.map(([d, ...cells]) => [day(d!), ...cells]),
      )
    else pdf.paragraph(`Not here in ${s.year}.`)
    pdf.paragraph(`Next due: ${m.due}. ${m.why}`, { bold: true })
  }
  if (s.machines.length === 0) pdf.paragraph('No machine is on record.')
  return pdf.end(`${s.shop}, ${s.customer.name}, ${s.year}`)
}
