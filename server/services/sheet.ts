import { jobTools, sheet, viewJob } from '../../core/job'
import { whenWords, whyWords } from '../../core/history'
import type { SheetResponse } from '../../shared/responses'
import type { Db } from '../database/query'
import { tasksOfJobs } from '../repositories/board'
import { eventsAfter } from '../repositories/events'
import { type JobRow, lastClosedJob, sheetsOfJob } from '../repositories/jobs'
import { machineById } from '../repositories/machines'
import { outlookOf } from '../repositories/outlooks'
import { shopById } from '../repositories/shops'
import { heldBecause } from './board'
import { jobOf } from './jobs'

/** What of its last job's machine is likely out before its interval is over, by the forecast as it is now. */
async function soonerOf(db: Db, shopId: number, { id, pin }: JobRow, now: Date): Promise<string | null> {
  const machineId = pin.machine.id
  const machine = await machineById(db, shopId, machineId)
  const kept = await outlookOf(db, shopId, machineId)
  const [first] = kept?.reasons ?? []
  if (!machine || !kept || first?.cause !== 'forecast' || (await lastClosedJob(db, shopId, machineId))?.id !== id)
    return null
  const name = (valveId: string) => pin.spec.engine.valves.find(v => v.id === valveId)?.name ?? valveId
  return `Sooner by its forecast: ${whenWords(first, kept.firstMeter, machine.meterUnit)}. ${whyWords({ first, all: kept.reasons }, name, now.getTime())}`
}

/** The sheet as it was signed last; for an open job, as it stands. Beside it, as they are now: other tasks of the visit, and a forecast that comes before what was signed as due. */
export async function readSheet(db: Db, shopId: number, id: number, now: Date): Promise<SheetResponse> {
  const job = await jobOf(db, shopId, id)
  const { name } = await shopById(db, shopId)
  const signed = await sheetsOfJob(db, shopId, id)
  const current = job.status === 'closed' ? signed[0] : undefined
  const content =
    current?.content ?? sheet(viewJob(jobTools(job.pin), await eventsAfter(db, shopId, id, 0), now.getTime()))
  return {
    shop: name,
    sheet: content,
    signed: current ? { at: current.signedAt.toISOString(), by: current.signedBy } : null,
    earlier: signed.filter(s => s !== current).map(s => ({ seq: s.seq, at: s.signedAt.toISOString() })),
    tasks: (await tasksOfJobs(db, shopId, [id])).map(t => ({
      name: t.name,
      words: t.doneAt
        ? `done by ${t.doneBy}${t.because ? `, before the valves: ${t.because}` : ''}`
        : heldBecause(t.needs, job.status)
          ? 'to do, after the valves'
          : 'to do',
    })),
    sooner: current ? await soonerOf(db, shopId, job, now) : null,
  }
}
