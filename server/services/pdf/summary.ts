import type { CustomerSummary } from '../../../shared/machines'
import { locale, t } from '../../words'
import { type Paper, PdfPaper } from './paper'

const day = (iso: string) =>
  new Date(iso).toLocaleDateString(locale(), { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' })

/** A year of an owner's machines as PDF: to lay beside the bill. */
export function summaryPdf(paper: Paper, s: CustomerSummary): Promise<Buffer> {
  const pdf = new PdfPaper(paper, 1, { title: `${s.customer.name}, ${s.year}`, author: s.shop, at: new Date(s.today) })
  pdf.heading(t('summary.title', { name: s.customer.name, year: s.year }), 19)
  pdf.paragraph(t('summary.written', { shop: s.shop, day: day(s.today) }), { gray: true })
  pdf.space(4)
  pdf.line(1.4)
  for (const m of s.machines) {
    pdf.space(3)
    pdf.heading(t('summary.machine', { name: m.name, tag: m.tag }), 12)
    pdf.paragraph(m.model, { gray: true })
    const rows = [
      ...m.visits.map(v => [
        v.day,
        v.number === null ? t('common.from-paper') : t('page-customers-id.job', { number: v.number }),
        v.meter,
        v.words,
      ]),
      ...m.records.map(r => [r.day, '', '', r.words]),
    ].sort((a, b) => (a[0]! < b[0]! ? -1 : 1))
    if (rows.length)
      pdf.table(
        [
          [t('summary.day'), 1],
          ['', 0.8],
          [t('common.meter'), 1],
          [t('summary.what-was-done'), 3.4],
        ].map(([title, part]) => ({ title: title as string, part: part as number })),
        rows.map(([d, ...cells]) => [day(d!), ...cells]),
      )
    else pdf.paragraph(t('page-customers-id.not-here-in', { year: s.year }))
    pdf.paragraph(t('page-customers-id.next-due', { due: m.due, why: m.why }), { bold: true })
  }
  if (s.machines.length === 0) pdf.paragraph(t('page-customers-id.no-machine-is-on-record'))
  return pdf.end(`${s.shop}, ${s.customer.name}, ${s.year}`)
}
