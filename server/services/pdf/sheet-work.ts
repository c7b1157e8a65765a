import { cautionLines } from '../../../core/job/sheet/together'
import type { SheetResponse } from '../../../shared/jobs'
import { locale, t } from '../../words'
import type { Cell, PdfPaper } from './paper'
import { named, verdictCell } from './sheet-valves'

/** What a sheet is printed from. */
export type SheetGiven = Pick<SheetResponse, 'shop' | 'sheet' | 'signed' | 'tasks'> & { timeZone: string }

const day = (iso: string, timeZone: string) =>
  new Date(iso).toLocaleDateString(locale(), {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    year: 'numeric',
    timeZone,
  })
const hour = (iso: string, timeZone: string) =>
  new Date(iso).toLocaleTimeString(locale(), { hour: 'numeric', minute: '2-digit', timeZone })

/** Who, what and when: the machine and its owner. */
export function head(pdf: PdfPaper, { shop, sheet: s, signed, timeZone }: SheetGiven): void {
  const y = pdf.doc.y
  pdf.font('bold', 19).text(t('sheet-head.job-sheet', { number: s.number }), pdf.left, y, { width: pdf.width * 0.5 })
  pdf.font('bold', 9).text(shop, pdf.left + pdf.width * 0.5, y, { width: pdf.width * 0.5, align: 'right' })
  pdf
    .font('plain', 9)
    .text(
      `${day(signed?.at ?? s.opened.at, timeZone)}, ${signed ? t('sheet-head.signed-by-at', { by: signed.by, at: hour(signed.at, timeZone) }) : t('sheet-head.not-signed')}`,
      pdf.left + pdf.width * 0.4,
      y + pdf.size(12),
      { width: pdf.width * 0.6, align: 'right' },
    )
  pdf.doc.y = y + pdf.size(25)
  pdf.line(1.4)
  pdf.table(
    [t('common.machine'), t('common.owner'), t('common.meter'), t('sheet-head.engine-cold')].map(title => ({
      title,
      part: 1,
    })),
    [
      [
        `${s.machine.name}. ${t('sheet-head.tag', { model: s.machine.model, tag: s.machine.tag })}`,
        `${s.machine.owner}. ${t('sheet-head.complaint', { complaint: s.complaint || t('common.none-given') })}`,
        `${s.machine.meter}, ${s.machine.sinceLast}`,
        `${s.cold}, ${t('sheet-head.by', { people: s.people.join(', ') || t('sheet-head.nobody-yet') })}`,
      ],
    ],
  )
}

/** What was done: proofs, rounds of setting, shims, departures, corrections. */
export function work(pdf: PdfPaper, { sheet: s, timeZone }: SheetGiven): void {
  pdf.heading(t('sheet-spec.proofs-after-two-full-turns'))
  pdf.table(
    [
      [t('common.valve'), 1.2],
      [t('sheet-spec.stop'), 1.6],
      [t('sheet-spec.went'), 1],
      [t('sheet-spec.did-not-go'), 1],
      [t('common.verdict'), 1.1],
    ].map(([title, part]) => ({ title: title as string, part: part as number })),
    s.valves.map(v =>
      v.proof && v.asLeft
        ? [
            named(v.name),
            v.proof.place,
            v.proof.went,
            v.proof.refused,
            verdictCell(v.asLeft.verdict, v.asLeft.proof, pdf.scale),
          ]
        : [named(v.name), t('common.not-proved'), '', '', ''],
    ),
  )
  const aside = (names: string[], words: string) =>
    pdf.paragraph(`${names.map(named).join(', ')}: ${words}`, { points: 8, gray: true })
  for (const { names, one } of cautionLines(s.valves)) aside(names, one.words)
  for (const v of s.valves)
    for (const estimate of v.estimates ?? [])
      aside([v.name], t('sheet-spec.estimated-which-proves-nothing', { estimate }))
  const rounds = s.valves.flatMap(v =>
    v.rounds.map((r, i) => ({ v, r, first: i === 0 || r.round !== v.rounds[i - 1]!.round })),
  )
  pdf.heading(t('sheet-rounds.rounds-of-setting'))
  if (rounds.length)
    pdf.table(
      [
        [t('common.valve'), 1.2],
        [t('common.screw'), 1],
        [t('sheet-rounds.before-lock'), 1.4],
        [t('common.nipped'), 1.2],
        [t('common.torqued'), 1.2],
        [t('common.verdict'), 0.9],
      ].map(([title, part]) => ({ title: title as string, part: part as number })),
      rounds.map(({ v, r, first }): Cell[] => [
        first ? `${named(v.name)} ${r.round}` : '',
        r.turnedDeg === null ? t('sheet-rounds.as-it-was') : t('sheet-rounds.turned', { deg: r.turnedDeg }),
        r.beforeLock,
        r.nipped,
        r.torqued,
        r.torqued ? verdictCell(r.verdict, null, pdf.scale) : '',
      ]),
    )
  const shims = s.valves.filter(v => v.shim)
  if (shims.length)
    pdf.table(
      [
        { title: t('sheet-rounds.shim-of'), part: 1 },
        { title: t('sheet-rounds.old'), part: 1.5 },
        { title: t('sheet-rounds.in-its-place'), part: 1.5 },
      ],
      shims.map(v => [named(v.name), v.shim!.old, v.shim!.fitted]),
    )
  if (rounds.length === 0 && shims.length === 0) pdf.paragraph(t('sheet-rounds.no-valve-was-set-all'))
  pdf.heading(t('sheet-rounds.departures'))
  for (const d of s.departures) pdf.paragraph(`${d.missing} ${d.reason}. ${d.by}, ${hour(d.at, timeZone)}.`)
  if (s.departures.length === 0) pdf.paragraph(t('common.none'))
  if (s.corrections?.length) pdf.heading(t('sheet-rounds.corrections'))
  for (const correction of s.corrections ?? []) pdf.paragraph(correction)
}
