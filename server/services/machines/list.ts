import { causeWords, daysWords, visitVerdict } from '../../../core/history'
import { DAY_MS, daysIn } from '../../../core/units'
import type { MachineListRequest, MachineListResponse, MachineListRow } from '../../../shared/machines'
import type { Db } from '../../database/query'
import { kindsOfMachines, type ListedMachine, pageOfMachines } from '../../repositories/machine-list'
import { modelsByIds } from '../../repositories/models'
import { shopById } from '../../repositories/shops'
import { lastVisitsOf, readingsOfJobs } from '../../repositories/visits'
import { tell } from '../../words'
import { startOfDay } from '../days'
import { grouped, valvesOfJob } from './visits'

/** “Soon” is as far ahead as the list of what is due looks at first. */
const SOON_DAYS = 56

/** A page of the shop's machines: what stands with each, when it is due, how its last visit left it. */
export async function listOfMachines(
  db: Db,
  shopId: number,
  asked: MachineListRequest,
  now: Date,
): Promise<MachineListResponse> {
  const { timeZone } = await shopById(db, shopId)
  const dayOf = daysIn(timeZone)
  const today = startOfDay(now, timeZone)
  const soon = new Date(today.getTime() + SOON_DAYS * DAY_MS)
  const { rows, counts } = await pageOfMachines(db, shopId, asked, { today, soon })
  const dueOf = await dueWords(db, shopId, rows, dayOf, Date.parse(dayOf(now)))
  const visits = await lastVisits(db, shopId, rows, dayOf)
  return {
    rows: rows.map(({ dueAt: _, reasons: __, ...machine }): MachineListRow => ({
      ...machine,
      due: dueOf.get(machine.id) ?? null,
      lastVisit: visits.get(machine.id) ?? null,
    })),
    total: counts[asked.show],
    counts,
    kinds: await kindsOfMachines(db, shopId),
  }
}

async function dueWords(
  db: Db,
  shopId: number,
  rows: readonly ListedMachine[],
  dayOf: (at: Date) => string,
  todayMs: number,
): Promise<Map<number, NonNullable<MachineListRow['due']>>> {
  const engines = new Map(
    (await modelsByIds(db, shopId, [...new Set(rows.map(r => r.modelId))])).map(m => [m.id, m.engine]),
  )
  const due = new Map<number, NonNullable<MachineListRow['due']>>()
  for (const { id, dueAt, reasons, modelId, meterUnit } of rows) {
    const [first] = reasons
    if (!dueAt || !first) continue
    const engine = engines.get(modelId)
    const name = (valveId: string) => engine?.valves.find(v => v.id === valveId)?.name ?? valveId
    const day = dayOf(dueAt)
    due.set(id, {
      day,
      days: tell(daysWords(Date.parse(day), todayMs)),
      over: Date.parse(day) < todayMs,
      cause: tell(causeWords(first, name, engine?.interval ?? { use: null, months: null }, meterUnit)),
    })
  }
  return due
}

async function lastVisits(
  db: Db,
  shopId: number,
  rows: readonly ListedMachine[],
  dayOf: (at: Date) => string,
): Promise<Map<number, NonNullable<MachineListRow['lastVisit']>>> {
  const last = await lastVisitsOf(
    db,
    shopId,
    rows.map(r => r.id),
  )
  const jobIds = last.flatMap(v => (v.jobId === null ? [] : [v.jobId]))
  const readings = grouped(await readingsOfJobs(db, shopId, jobIds), r => r.jobId)
  return new Map(
    last.map(({ machineId, at, jobId }) => [
      machineId,
      {
        day: dayOf(at),
        jobId,
        verdict: jobId === null ? null : visitVerdict(Object.values(valvesOfJob(readings.get(jobId) ?? []))),
      },
    ]),
  )
}
