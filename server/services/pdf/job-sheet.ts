import type { Proof, Verdict } from '../../../core/feeler'
import type { Sheet, SheetValve } from '../../../core/job'
import type { SheetResponse } from '../../../shared/responses'
import { type Cell, type Paper, PdfPaper } from './paper'
import { locale, t } from '../../words'

type SheetGiven = Pick<SheetResponse, 'shop' | 'sheet' | 'signed' | 'tasks'> & { timeZone: string }

const named = (part: string): string => t('part.name', { part })
const verdictWords = (verdict: Verdict, proof: Proof | null): string =>
  t(`verdict-words.${verdict}`) + (proof ? t('print-verdict.by', { proof }) : '')

/** A verdict's shape in black, as on the screen's sheet: a ringed tick, ▼ full, ▲ open, hatch. */
function drawVerdict({ doc, scale }: PdfPaper, verdict: Verdict, x: number, y: number): void {
  doc
    .save()
    .translate(x, y + scale)
    .scale(0.62 * scale)
    .lineWidth(1.3)
    .strokeColor('#111111')
    .fillColor('#111111')
  if (verdict === 'in') doc.circle(6.5, 6.5, 5.8).stroke().moveTo(3.6, 6.8).lineTo(5.8, 8.9).lineTo(9.6, 4.4).stroke()
  if (verdict === 'tight') doc.moveTo(0.5, 1.5).lineTo(12.5, 1.5).lineTo(6.5, 12).fill()
  if (verdict === 'loose') doc.moveTo(1, 11.5).lineTo(12, 11.5).lineTo(6.5, 1.5).closePath().stroke()
  if (verdict === 'unproved')
    doc
      .rect(1, 1, 11, 11)
      .stroke()
      .moveTo(1, 7)
      .lineTo(7, 1)
      .moveTo(1, 12)
      .lineTo(12, 1)
      .moveTo(7, 12)
      .lineTo(12, 7)
      .stroke()
  doc.restore()
}
const verdictCell = (verdict: Verdict, proof: Proof | null, scale: number): Cell => ({
  text: verdictWords(verdict, proof),
  width: 12 * scale,
  draw: (pdf, x, y) => drawVerdict(pdf, verdict, x, y),
})

/** A rule with the spec as a tint, the reading as found open and as left solid. */
function drawRule(
  pdf: PdfPaper,
  valve: SheetValve,
  x: number,
  y: number,
  width: number,
  height: number,
  fromMm: number,
  topMm: number,
): void {
  const { doc } = pdf
  const at = (mm: number) => x + Math.max(0, Math.min(1, (mm - fromMm) / (topMm - fromMm))) * width
  doc.save().rect(x, y, width, height).lineWidth(0.9).strokeColor('#111111').stroke()
  doc
    .rect(at(valve.spec.minMm), y + 0.5, Math.max(1, at(valve.spec.maxMm) - at(valve.spec.minMm)), height - 1)
    .fill('#E2E2E2')
  for (let mm = fromMm; mm <= topMm + 1e-9; mm += 0.01)
    doc
      .moveTo(at(mm), y)
      .lineTo(at(mm), y + (Math.round(mm * 100) % 5 ? 2 : 4))
      .lineWidth(0.4)
      .stroke('#111111')
  const figures = Array.from({ length: Math.floor(topMm / 0.05) + 1 }, (_, i) => i * 0.05).filter(
    mm => mm >= fromMm - 1e-9,
  )
  for (const mm of figures)
    pdf.font('plain', 7).text(mm.toFixed(2), at(mm) - pdf.size(12), y - pdf.size(8.5), {
      width: pdf.size(24),
      align: 'center',
      lineBreak: false,
    })
  const bar = (reading: { loMm: number; hiMm: number | null } | null, top: number, full: boolean) => {
    if (!reading) return
    const [lo, hi] = [at(reading.loMm), at(reading.hiMm ?? topMm)]
    doc.rect(lo, top, Math.max(2, hi - lo), height * 0.22).lineWidth(0.9)
    if (full) doc.fill('#111111')
    else doc.fillAndStroke('#FFFFFF', '#111111')
  }
  bar(valve.asFound, y + height * 0.28, false)
  bar(valve.asLeft, y + height * 0.62, true)
  doc.restore()
}

/** All that the sheet's valves need of a common scale. */
function scaleOf(valves: readonly SheetValve[]): { fromMm: number; topMm: number } {
  const all = valves
    .flatMap(v => [v.spec.minMm, v.spec.maxMm, v.asFound?.loMm, v.asFound?.hiMm, v.asLeft?.loMm, v.asLeft?.hiMm])
    .filter(v => v !== undefined && v !== null)
  return {
    fromMm: Math.max(0, Math.floor((Math.min(...all) - 0.02) * 50) / 50),
    topMm: Math.ceil((Math.max(...all) + 0.02) * 50) / 50,
  }
}

function valveBlock(pdf: PdfPaper, valve: SheetValve, unit: Sheet['unit'], fromMm: number, topMm: number): void {
  const height = pdf.size(18)
  pdf.room(height + pdf.size(8))
  const y = pdf.doc.y
  drawRule(pdf, valve, pdf.left + pdf.width * 0.6, y + pdf.size(7), pdf.width * 0.39, height, fromMm, topMm)
  const spec = unit === 'thou' ? `${valve.spec.thou} thou` : `${valve.spec.words} mm`
  pdf.font('bold', 10.5).text(named(valve.name), pdf.left, y, { width: pdf.width * 0.24 })
  pdf
    .font('plain', 9, 'gray')
    .text(t('sheet-valves.spec', { thouFirst: spec }), pdf.left, y + pdf.size(12), { width: pdf.width * 0.24 })
  for (const [i, [label, reading]] of (
    [
      [t('common.as-found'), valve.asFound],
      [t('sheet-valves.as-left'), valve.asLeft],
    ] as const
  ).entries()) {
    const top = y + pdf.size(i * 11)
    pdf
      .font('plain', 9, 'gray')
      .text(label, pdf.left + pdf.width * 0.25, top, { width: pdf.width * 0.08, lineBreak: false })
    pdf
      .font('bold', 9)
      .text(
        reading?.words ?? (i ? t('common.not-proved') : t('common.not-measured')),
        pdf.left + pdf.width * 0.325,
        top,
        {
          width: pdf.width * 0.15,
          lineBreak: false,
        },
      )
    if (!reading) continue
    drawVerdict(pdf, reading.verdict, pdf.left + pdf.width * 0.465, top)
    pdf
      .font('plain', 9)
      .text(verdictWords(reading.verdict, reading.proof), pdf.left + pdf.width * 0.465 + pdf.size(11), top, {
        width: pdf.width * 0.13,
        lineBreak: false,
      })
  }
  pdf.doc.x = pdf.left
  pdf.doc.y = y + height + pdf.size(12)
}

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

function head(pdf: PdfPaper, { shop, sheet: s, signed, timeZone }: SheetGiven): void {
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

function work(pdf: PdfPaper, { sheet: s, timeZone }: SheetGiven): void {
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
  for (const v of s.valves)
    for (const words of [
      ...(v.cautions ?? []),
      ...(v.estimates ?? []).map(estimate => t('sheet-spec.estimated-which-proves-nothing', { estimate })),
    ])
      pdf.paragraph(`${named(v.name)}: ${words}`, { points: 8, gray: true })
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

function rest(pdf: PdfPaper, { sheet: s, tasks }: SheetGiven): void {
  const ticked = (done: boolean, yes: string) => (done ? yes : t('sheet.not-ticked'))
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
          s.cameOff.map(i => `${i.item}: ${ticked(i.back, t('sheet.back'))}`),
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
        s.torques
          .map(n => `${n.what} ${n.wanted}: ${ticked(n.done, t('sheet.done'))}${n.by ? `, ${n.by}` : ''}`)
          .join('; '),
      ],
      [t('sheet-parts.plug-gasket'), `${s.plug}. ${s.gasket}.`],
      [t('sheet-rounds.run'), `${s.run}.`],
      ...(tasks.length
        ? [[t('sheet-parts.other-tasks-of-this-visit'), tasks.map(t => `${t.name}: ${t.words}`).join('; ')]]
        : []),
      ...(s.replaced.length ? [[t('sheet-parts.replaced'), s.replaced.join('; ')]] : []),
      ...(s.findings.length ? [[t('sheet-parts.findings'), s.findings.map(f => `${f.text}. ${f.by}.`).join(' ')]] : []),
      ...(s.notes.length ? [[t('sheet-parts.notes'), s.notes.map(n => n.text).join(' ')]] : []),
    ],
  )
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

async function at(scale: number, paper: Paper, given: SheetGiven): Promise<{ bytes: Buffer; pages: number }> {
  const pdf = new PdfPaper(paper, scale, {
    title: t('sheet-head.job-sheet', { number: given.sheet.number }),
    author: given.shop,
    at: new Date(given.signed?.at ?? given.sheet.opened.at),
  })
  head(pdf, given)
  pdf.space(3)
  const { fromMm, topMm } = scaleOf(given.sheet.valves)
  for (const valve of given.sheet.valves) valveBlock(pdf, valve, given.sheet.unit, fromMm, topMm)
  pdf.paragraph(t('sheet.pdf-rules'), {
    points: 7.5,
    gray: true,
  })
  work(pdf, given)
  rest(pdf, given)
  const bytes = await pdf.end(
    t('paper.job-foot', { shop: given.shop, job: given.sheet.number, judgement: given.sheet.judgementVersion }),
  )
  return { bytes, pages: pdf.pages }
}

/** Smaller than this nobody reads it at the bench. */
const SCALES = [1, 0.94, 0.88, 0.82]
/** A single or a twin stands on one page, in smaller letters if need be; more valves take the pages that they take. */
const ONE_PAGE_VALVES = 4

/** The job sheet as PDF on A4 or Letter, fonts embedded. */
export async function jobSheetPdf(paper: Paper, given: SheetGiven): Promise<Buffer> {
  const scales = given.sheet.valves.length <= ONE_PAGE_VALVES ? SCALES : SCALES.slice(0, 1)
  let made = await at(scales[0]!, paper, given)
  for (const scale of scales.slice(1)) if (made.pages > 1) made = await at(scale, paper, given)
  return made.bytes
}
