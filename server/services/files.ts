import type { Db } from '../database/query'
import { customerById } from '../repositories/customers'
import { shopById } from '../repositories/shops'
import { inTheirs } from '../words'
import { customerSummary } from './customer-summary'
import { jobSheetPdf } from './pdf/job-sheet'
import type { Paper } from './pdf/paper'
import { summaryPdf } from './pdf/summary'
import { readSheet } from './sheet'
import type { WholeFile } from './whole-file'

/** A job's sheet as PDF: as signed, or as it stands. */
export async function sheetFile(db: Db, shopId: number, jobId: number, paper: Paper, now: Date): Promise<WholeFile> {
  const given = await readSheet(db, shopId, jobId, now)
  const { timeZone } = await shopById(db, shopId)
  return {
    type: 'application/pdf',
    bytes: await inTheirs(given.signed ? given.sheet.language : null, () => jobSheetPdf(paper, { ...given, timeZone })),
    name: `job-sheet-${given.sheet.number}.pdf`,
  }
}
/** A year of an owner's machines as PDF. */
export async function summaryFile(
  db: Db,
  shopId: number,
  customerId: number,
  { year, paper }: { year: number; paper: Paper },
  now: Date,
): Promise<WholeFile> {
  const customer = await customerById(db, shopId, customerId)
  return {
    type: 'application/pdf',
    bytes: await inTheirs(customer?.language ?? (await shopById(db, shopId)).language, async () =>
      summaryPdf(paper, await customerSummary(db, shopId, customerId, year, now)),
    ),
    name: `summary-${customerId}-${year}.pdf`,
  }
}
