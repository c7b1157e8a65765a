import type { LiftStretch, SheetLift } from '../../../core/job'
import { endsOf, liftPaths } from '../../../core/job/sheet/lift-paths'
import { partLines, torqueLines } from '../../../core/job/sheet/together'
import { t } from '../../words'
import type { PdfPaper } from './paper'
import type { SheetGiven } from './sheet-work'

/** What the gap as found did to the worst valve: solid as it should be, dashed as it was found. */
function liftCurves(pdf: PdfPaper, lift: SheetLift): void {
  pdf.heading(t('sheet-lift.title', { name: lift.name }))
  const { words, foundMm, wantedMm, camKnown } = lift
  pdf.paragraph([t('sheet-lift.words', { words, foundMm, wantedMm }), t('sheet-lift.legend', { camKnown })].join(' '))
  const box = { width: pdf.width * 0.42, height: pdf.size(22) }
  const stretch = (title: string, one: LiftStretch) => {
    const [from, to] = endsOf(one, lift)
    const paths = liftPaths(one, box)
    return {
      title: `${title} (${from}° – ${to}°)`,
      draw: (doc: PDFKit.PDFDocument) => {
        doc.strokeColor('#111111').lineWidth(0.6).path(`M 0 0 L 0 ${box.height} L ${box.width} ${box.height}`).stroke()
        doc.lineWidth(1.2).path(paths.wanted).stroke()
        doc.lineWidth(0.9).dash(3, { space: 2 }).path(paths.found).stroke().undash()
      },
    }
  }
  pdf.space(2)
  pdf.drawings(box.height, [stretch(t('sheet-lift.opens'), lift.opens), stretch(t('sheet-lift.closes'), lift.closes)])
}

/** What goes with the valves: parts and torques, the spec used, the next date, the place to sign, the caution. */
export function rest(pdf: PdfPaper, { sheet: s, tasks }: SheetGiven): void {
  const ticked = (done: boolean, yes: string) => (done ? yes : t('sheet.not-ticked'))
  const parts = partLines(s)
  const many = (all: string[], none: string) => all.join('; ') || none
  pdf.heading(t('common.machine'))
  pdf.table(
    [
      { title: '', part: 1 },
      { title: '', part: 4 },
    ],
    [
      [
        t('sheet-parts.removed-refitted'),
        many(
          [
            ...parts.each.map(i => `${i.item}: ${ticked(i.back, t('sheet.back'))}`),
            ...(parts.back.length
              ? [t('sheet-parts.all-back', { count: parts.back.length, items: parts.back.join(', ') })]
              : []),
          ],
          t('sheet-parts.nothing-on-record'),
        ),
      ],
      [
        t('sheet-parts.rags-in-rags-out'),
        many(
          s.wentIn.map(i => `${i.item}: ${ticked(i.out, t('sheet.out'))}`),
          t('sheet-parts.nothing-on-record'),
        ),
      ],
      [
        t('common.torques'),
        torqueLines(s)
          .map(
            ({ names, one: n }) =>
              `${names.join(', ')} ${n.wanted}: ${ticked(n.done, t('sheet.done'))}${n.by ? `, ${n.by}` : ''}`,
          )
          .join('; '),
      ],
      [t('sheet-parts.plug-gasket'), `${[s.plug, s.gasket].filter(Boolean).join('. ')}.`],
      [t('sheet-rounds.run'), `${s.run}.`],
      ...(s.pressures?.length ? [[t('sheet-parts.gauges'), s.pressures.join('; ')]] : []),
      ...(tasks.length
        ? [[t('sheet-parts.other-tasks-of-this-visit'), tasks.map(t => `${t.name}: ${t.words}`).join('; ')]]
        : []),
      ...(s.replaced.length ? [[t('sheet-parts.replaced'), s.replaced.join('; ')]] : []),
      ...(s.findings.length ? [[t('sheet-parts.findings'), s.findings.map(f => `${f.text}. ${f.by}.`).join(' ')]] : []),
      ...(s.notes.length ? [[t('sheet-parts.notes'), s.notes.map(n => n.text).join(' ')]] : []),
    ],
  )
  if (s.owner?.length) {
    pdf.heading(t('sheet-parts.for-the-owner'))
    pdf.paragraph(s.owner.join(' '))
  }
  if (s.lift) liftCurves(pdf, s.lift)
  pdf.heading(t('sheet-spec.spec-used-revision', { revision: s.spec.revision, draft: s.spec.status === 'draft' }))
  pdf.paragraph(
    [
      t('sheet-spec.blades', { source: s.spec.source, sourceDate: s.spec.sourceDate, bladeSet: s.spec.bladeSet }),
      ...(s.strangeBlades.length ? [t('sheet-spec.of-no-set-mm', { strangeBlades: s.strangeBlades.join(', ') })] : []),
      ...(s.setting ?? []),
    ].join(' '),
  )
  for (const f of s.figures ?? []) pdf.paragraph(f)
  pdf.space(5)
  pdf.room(pdf.size(52))
  pdf.line(1.4)
  pdf.heading(t('job-sheet.next-due', { nextDue: s.nextDue }), 12)
  pdf.space(14)
  const y = pdf.doc.y
  for (const [label, from, to] of [
    [t('common.signed'), 0.45, 0.8],
    [t('job-sheet.date'), 0.82, 1],
  ] as const) {
    pdf.doc
      .moveTo(pdf.left + pdf.width * from, y)
      .lineTo(pdf.left + pdf.width * to, y)
      .lineWidth(0.6)
      .strokeColor('#111111')
      .stroke()
    pdf.font('plain', 8, 'gray').text(label, pdf.left + pdf.width * from, y + 2, { lineBreak: false })
  }
  pdf.doc.x = pdf.left
  pdf.doc.y = y + pdf.size(12)
  pdf.paragraph(t('job-sheet.run-the-engine-outdoors', { caution: s.caution }), { points: 8.5, bold: true })
}
