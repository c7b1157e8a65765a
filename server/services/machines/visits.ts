import type { Engine } from '../../../core/engine'
import { useSinceFirst, type Visit } from '../../../core/history'
import { rejudge } from '../../../core/spec-book'
import type { JudgedReading } from '../../../shared/machines'
import type { Db } from '../../database/query'
import { type MeterRow, metersOf } from '../../repositories/meters'
import {
  closedJobsOf,
  enginesPutIn,
  type PastVisitRow,
  pastVisitsOf,
  readingsOfJobs,
  type VisitReading,
} from '../../repositories/visits'

/** What a visit found and left of a valve, and whether it was set. */
interface FoundAndLeft {
  asFound: JudgedReading | null
  asLeft: JudgedReading | null
  touched: boolean
}
/** A visit of any origin, with its use on the one count of the machine's meters. */
export interface VisitRecord {
  kind: 'job' | 'past visit'
  id: number
  atMs: number
  use: number | null
  meter: number | null
  valves: Record<string, FoundAndLeft>
}
/** All that is on record of a machine's past since its engine was put in, and every reading of its meter. */
export interface MachinePast {
  visits: VisitRecord[]
  before: VisitRecord[]
  uses: { atMs: number; use: number }[]
  firstMeter: number | null
  engineAtMs: number | null
}

const reading = ({ loMm, hiMm, verdict }: VisitReading): JudgedReading => ({ loMm, hiMm, verdict })

/** Of a job each valve's first reading, and the last that was proved. */
export function valvesOfJob(rows: readonly VisitReading[]): Record<string, FoundAndLeft> {
  const valves: Record<string, FoundAndLeft> = {}
  for (const row of rows) {
    const own = (valves[row.valveId] ??= { asFound: null, asLeft: null, touched: false })
    if (row.phase === 'as found') own.asFound ??= reading(row)
    else Object.assign(own, { asLeft: reading(row), touched: row.round > 0 })
  }
  return valves
}

/** A reading from paper is judged by the spec that was in force on that day, as far as the book goes back. */
function valvesOfPast({ valves }: PastVisitRow, engine: Engine): Record<string, FoundAndLeft> {
  return Object.fromEntries(
    Object.entries(valves).map(([id, { foundMm, leftMm, touched }]) => {
      const role = engine.valves.find(v => v.id === id)?.role ?? 'intake'
      const judged = (interval: typeof foundMm): JudgedReading | null =>
        interval && { ...interval, verdict: rejudge(interval, engine.clearance[role]) }
      return [id, { asFound: judged(foundMm), asLeft: judged(leftMm), touched }]
    }),
  )
}

function pastOf(
  specAt: (at: Date) => Engine,
  jobs: { id: number; openedAt: Date }[],
  readings: Map<number, VisitReading[]>,
  past: PastVisitRow[],
  meters: MeterRow[],
  engineAt: Date | null,
): MachinePast {
  // whatever stands on record can be counted: a lower reading that got past the questions is a meter that began anew
  const counted = useSinceFirst(
    meters.map((m, i) => ({
      atMs: m.at.getTime(),
      meter: m.meter,
      replaced: m.replaced === 1 || (i > 0 && m.meter < meters[i - 1]!.meter),
    })),
  )
  const at = new Map(meters.map((m, i) => [`${m.source} ${m.sourceId}`, { use: counted[i]!.use, meter: m.meter }]))
  const met = (key: string) => at.get(key) ?? { use: null, meter: null }
  const all: VisitRecord[] = [
    ...jobs.map((j): VisitRecord => ({
      kind: 'job',
      id: j.id,
      atMs: j.openedAt.getTime(),
      ...met(`job ${j.id}`),
      valves: valvesOfJob(readings.get(j.id) ?? []),
    })),
    ...past.map((p): VisitRecord => ({
      kind: 'past visit',
      id: p.id,
      atMs: p.at.getTime(),
      ...met(`past visit ${p.id}`),
      valves: valvesOfPast(p, specAt(p.at)),
    })),
  ].sort((a, b) => a.atMs - b.atMs || a.id - b.id)
  const engineAtMs = engineAt?.getTime() ?? null
  const since = (v: VisitRecord) => engineAtMs === null || v.atMs >= engineAtMs
  return {
    visits: all.filter(since),
    before: all.filter(v => !since(v)),
    uses: counted,
    engineAtMs,
    firstMeter: meters.some(m => m.replaced === 1) ? null : (meters[0]?.meter ?? null),
  }
}

export const grouped = <T, K>(rows: readonly T[], key: (row: T) => K): Map<K, T[]> => {
  const groups = new Map<K, T[]>()
  for (const row of rows) {
    const group = groups.get(key(row))
    if (group) group.push(row)
    else groups.set(key(row), [row])
  }
  return groups
}

/** The past of some machines, each with the engine data that were in force on a day. */
export async function pastsOf(
  db: Db,
  shopId: number,
  machines: readonly { id: number; specAt: (at: Date) => Engine }[],
): Promise<Map<number, MachinePast>> {
  const ids = machines.map(m => m.id)
  const jobs = await closedJobsOf(db, shopId, ids)
  const readings = grouped(
    await readingsOfJobs(
      db,
      shopId,
      jobs.map(j => j.id),
    ),
    r => r.jobId,
  )
  const byMachine = grouped(jobs, j => j.machineId)
  const past = grouped(await pastVisitsOf(db, shopId, ids), p => p.machineId)
  const meters = grouped(await metersOf(db, shopId, ids), m => m.machineId)
  const engines = new Map((await enginesPutIn(db, shopId, ids)).map(e => [e.machineId, e.at]))
  return new Map(
    machines.map(m => [
      m.id,
      pastOf(
        m.specAt,
        byMachine.get(m.id) ?? [],
        readings,
        past.get(m.id) ?? [],
        meters.get(m.id) ?? [],
        engines.get(m.id) ?? null,
      ),
    ]),
  )
}

/** A visit as `core/history` takes it. */
export const asVisit = ({ atMs, use, valves }: VisitRecord): Visit => ({
  atMs,
  use,
  valves: Object.fromEntries(Object.entries(valves).map(([id, { asFound, asLeft }]) => [id, { asFound, asLeft }])),
})
