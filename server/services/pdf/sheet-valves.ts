import { type HeadMap, MAP_HEIGHT, MAP_WIDTH } from '../../../core/engine'
import type { Proof, Verdict } from '../../../core/feeler'
import type { Sheet, SheetValve } from '../../../core/job'
import { t } from '../../words'
import type { Cell, PdfPaper } from './paper'

export const named = (part: string): string => t('part.name', { part })
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
export const verdictCell = (verdict: Verdict, proof: Proof | null, scale: number): Cell => ({
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

/** One valve on the sheet: its name and spec, how it was found and left, and both on a rule. */
function valveBlock(
  pdf: PdfPaper,
  valve: SheetValve,
  { unit, sign }: { unit: Sheet['unit']; sign: string },
  fromMm: number,
  topMm: number,
): void {
  const height = pdf.size(18)
  pdf.room(height + pdf.size(8))
  const y = pdf.doc.y
  drawRule(pdf, valve, pdf.left + pdf.width * 0.6, y + pdf.size(7), pdf.width * 0.39, height, fromMm, topMm)
  const spec = unit === 'thou' ? `${valve.spec.thou} thou` : `${valve.spec.words} mm`
  pdf.font('bold', 10.5).text(`${sign}${named(valve.name)}`, pdf.left, y, { width: pdf.width * 0.24 })
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

/** How high the heads are drawn, points. */
const MAP_POINTS = 92
/** The heads where they are, each valve under the sign that its figures have. */
function drawHeads(pdf: PdfPaper, { heads, valves, crank, sides }: HeadMap): void {
  const height = pdf.size(MAP_POINTS)
  pdf.room(height + pdf.size(4))
  const scale = height / MAP_HEIGHT
  const { doc } = pdf
  const [x0, y0] = [pdf.left + (pdf.width - MAP_WIDTH * scale) / 2, doc.y]
  const x = (value: number) => x0 + value * scale
  const y = (value: number) => y0 + value * scale
  const words = (text: string, middle: number, top: number, points: number) => {
    const width = pdf.size(60)
    pdf.font('bold', points).text(text, x(middle) - width / 2, top, { width, align: 'center', lineBreak: false })
  }
  doc.save().lineWidth(0.9).strokeColor('#111111').fillColor('#FFFFFF')
  for (const h of heads) {
    doc.save()
    if (Math.abs(h.leanDeg) < 90) doc.rotate(h.leanDeg, { origin: [x(h.x), y(h.y)] })
    doc
      .roundedRect(x(h.x - h.width / 2), y(h.y - h.height / 2), h.width * scale, h.height * scale, 3)
      .stroke()
      .restore()
  }
  if (crank) doc.circle(x(crank.x), y(crank.y), 14 * scale).stroke()
  for (const v of valves) doc.circle(x(v.x), y(v.y), v.r * scale).fillAndStroke('#FFFFFF', '#111111')
  for (const v of valves) words(v.sign, v.x, y(v.y) - pdf.size(3.2), 6.5)
  if (sides)
    for (const [side, at] of [
      [sides.top, 2],
      [sides.bottom, MAP_HEIGHT - 26],
    ] as const)
      words(side === 'intake' ? t('common.carburetor-side') : t('common.muffler-side'), MAP_WIDTH / 2, y(at), 6)
  doc.restore()
  doc.x = pdf.left
  doc.y = y0 + height + pdf.size(4)
}

/** All valves of a sheet, on rules of one scale; where there are many, with the heads above and a sign at each name. */
export function valveBlocks(pdf: PdfPaper, { valves, unit, map }: Sheet): void {
  const { fromMm, topMm } = scaleOf(valves)
  const many = valves.length > 2 ? map : undefined
  if (many) drawHeads(pdf, many)
  for (const valve of valves) {
    const sign = many?.valves.find(v => v.valveId === valve.valveId)?.sign
    valveBlock(pdf, valve, { unit, sign: sign ? `${sign}  ` : '' }, fromMm, topMm)
  }
}
