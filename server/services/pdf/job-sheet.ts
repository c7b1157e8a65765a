import { t } from '../../words'
import { type Paper, PdfPaper } from './paper'
import { rest } from './sheet-rest'
import { valveBlocks } from './sheet-valves'
import { head, type SheetGiven, work } from './sheet-work'

async function at(scale: number, paper: Paper, given: SheetGiven): Promise<{ bytes: Buffer; pages: number }> {
  const pdf = new PdfPaper(paper, scale, {
    title: t('sheet-head.job-sheet', { number: given.sheet.number }),
    author: given.shop,
    at: new Date(given.signed?.at ?? given.sheet.opened.at),
  })
  head(pdf, given)
  pdf.space(3)
  valveBlocks(pdf, given.sheet)
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
const SCALES = [1, 0.92, 0.84, 0.76]
/** Many valves are known to need small letters: two tries are enough. */
const SCALES_OF_MANY = [0.88, 0.76]
const MANY_VALVES = 4
/** Up to a four stands on one page, in smaller letters if need be; more valves take the pages that they take. */
const ONE_PAGE_VALVES = 8

/** The job sheet as PDF on A4 or Letter, fonts embedded. */
export async function jobSheetPdf(paper: Paper, given: SheetGiven): Promise<Buffer> {
  const { length } = given.sheet.valves
  const scales = length > ONE_PAGE_VALVES ? SCALES.slice(0, 1) : length > MANY_VALVES ? SCALES_OF_MANY : SCALES
  let made = await at(scales[0]!, paper, given)
  for (const scale of scales.slice(1)) if (made.pages > 1) made = await at(scale, paper, given)
  return made.bytes
}
