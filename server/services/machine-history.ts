import type { Engine } from '../../core/engine'
import { limitsOf, spanOf } from '../../core/feeler'
import { type Drift, drift, familyDrift, forecast, movesFaster, nextDue, usePerDay, useSinceFirst, type ValveVisit, type Visit, withFamily } from '../../core/history'
import type { JudgedReading, MachineResponse, ValveHistory, ValvePoint, VisitSummary } from '../../shared/machines'
import type { Db } from '../database/query'
import { machineById } from '../repositories/machines'
import { modelById } from '../repositories/models'
import { readingsOfFamily, readingsOfMachine, type VisitReading, type VisitRow, visitsOfMachine } from '../repositories/visits'
import { notFound } from '../utils/problem'

type Read = Pick<VisitReading, 'jobId' | 'valveId' | 'phase' | 'round' | 'loMm' | 'hiMm' | 'verdict'>
const reading = ({ loMm, hiMm, verdict }: Read): JudgedReading => ({ loMm, hiMm, verdict })

/** What a job found and left of a valve: its first reading, and the last that was proved. */
function foundAndLeft(readings: readonly Read[], valveId: string): { asFound: JudgedReading | null, asLeft: JudgedReading | null, touched: boolean } {
  const own = readings.filter(r => r.valveId === valveId)
  const found = own.find(r => r.phase === 'as found')
  const left = own.filter(r => r.phase === 'proved').at(-1)
  return { asFound: found ? reading(found) : null, asLeft: left ? reading(left) : null, touched: (left?.round ?? 0) > 0 }
}

interface JobAt { jobId: number, openedAt: Date, meter: number | null }
/** Use by job since the first meter reading. A meter that stands lower than before was replaced: opening a job asked. */
function usesOf(jobs: readonly JobAt[]): Map<number, number> {
  const read = jobs.filter(j => j.meter !== null)
  const uses = useSinceFirst(read.map((j, i) => ({ atMs: j.openedAt.getTime(), meter: j.meter!, replaced: i > 0 && j.meter! < read[i - 1]!.meter! })))
  return new Map(read.map((j, i) => [j.jobId, uses[i]!.use]))
}

const visitsFrom = (jobs: readonly JobAt[], readings: readonly Read[], valveIds: readonly string[], uses = usesOf(jobs)): Visit[] => jobs.map(({ jobId, openedAt }) => ({
  atMs: openedAt.getTime(), use: uses.get(jobId) ?? null,
  valves: Object.fromEntries(valveIds.map((id): [string, ValveVisit] => [id, foundAndLeft(readings.filter(r => r.jobId === jobId), id)])),
}))

/** How the other machines of the model drift, valve by valve. */
async function familyOf(db: Db, shopId: number, modelId: number, machineId: number, valveIds: readonly string[]): Promise<Map<string, Drift[]>> {
  const rows = await readingsOfFamily(db, shopId, modelId, machineId)
  const byMachine = new Map<number, typeof rows>()
  for (const row of rows) byMachine.set(row.machineId, [...byMachine.get(row.machineId) ?? [], row])
  const drifts = new Map<string, Drift[]>(valveIds.map(id => [id, []]))
  for (const own of byMachine.values()) {
    const jobs = [...new Map(own.map(r => [r.jobId, { jobId: r.jobId, openedAt: r.openedAt, meter: r.meter }])).values()]
    const visits = visitsFrom(jobs, own, valveIds)
    for (const id of valveIds) drifts.get(id)!.push(drift(visits, id))
  }
  return drifts
}

/** Twice a check's distance is as far as a forecast is shown. */
const HORIZON_INTERVALS = 2
const HORIZON_USE = 10_000

function valveHistory(engine: Engine, valveId: string, jobs: VisitRow[], readings: VisitReading[], uses: Map<number, number>, family: Drift[]): ValveHistory {
  const valve = engine.valves.find(v => v.id === valveId)!
  const points = jobs.map((job): ValvePoint => ({
    jobId: job.jobId, atMs: job.openedAt.getTime(), use: uses.get(job.jobId) ?? null, ...spanOf(job.engine.clearance[valve.role]), ...foundAndLeft(readings.filter(r => r.jobId === job.jobId), valveId),
  }))
  const own = drift(visitsFrom(jobs, readings, [valveId], uses), valveId)
  const kin = familyDrift(family)
  const slope = withFamily(own, kin)
  const last = points.findLast(p => p.asLeft !== null && p.use !== null)
  const limits = limitsOf(engine.clearance[valve.role])
  const ahead = slope && last?.asLeft && limits ? forecast(last.asLeft, slope, limits, engine.interval.use === null ? HORIZON_USE : engine.interval.use * HORIZON_INTERVALS) : null
  return { valveId, name: valve.name, role: valve.role, points, drift: own, family: kin?.machines ?? 0, faster: movesFaster(own, kin), slope, forecast: ahead, leftAtUse: last?.use ?? null }
}

/** What a visit did, in words. */
function visitWords(valves: ValveHistory[], jobId: number): string {
  const at = valves.map(v => ({ name: v.name, point: v.points.find(p => p.jobId === jobId)! }))
  const set = at.filter(v => v.point.touched).map(v => v.name)
  const out = at.filter(v => v.point.asLeft !== null && v.point.asLeft.verdict !== 'in').map(v => v.name.toLowerCase())
  const done = set.length === 0 ? 'None touched' : set.length === at.length ? 'All set' : `${set.map((n, i) => i ? n.toLowerCase() : n).join(', ')} set`
  return out.length ? `${done}; ${out.join(', ')} not in` : at.every(v => v.point.asLeft) ? `${done}, all proved` : done
}

/** Whether a valve is known to move at all: a wide reading alone calls nobody back. */
const moves = ({ slope }: ValveHistory): boolean => slope !== null && Math.abs(slope.perUse) >= 2 * slope.sigma

/** A machine with all that its visits say: readings, drift, forecast, and when it must come back. */
export async function readMachine(db: Db, shopId: number, id: number, now: Date): Promise<MachineResponse> {
  const machine = await machineById(db, shopId, id)
  const model = machine && await modelById(db, shopId, machine.modelId)
  if (!machine || !model) throw notFound('machine')
  const jobs = await visitsOfMachine(db, shopId, id)
  const readings = await readingsOfMachine(db, shopId, id)
  const valveIds = model.engine.valves.map(v => v.id)
  const family = await familyOf(db, shopId, machine.modelId, id, valveIds)
  const uses = usesOf(jobs)
  const valves = valveIds.map(v => valveHistory(model.engine, v, jobs, readings, uses, family.get(v)!))
  const counted = jobs.flatMap(j => uses.has(j.jobId) ? [{ atMs: j.openedAt.getTime(), use: uses.get(j.jobId)! }] : [])
  const perDay = usePerDay(counted)
  const [first, last] = [jobs[0], jobs.at(-1)]
  const lastCounted = counted.at(-1)
  const useNow = lastCounted ? lastCounted.use + (perDay ?? 0) * Math.max(0, now.getTime() - lastCounted.atMs) / 86_400_000 : null
  const replaced = jobs.filter(j => j.meter !== null).some((j, i, all) => i > 0 && j.meter! < all[i - 1]!.meter!)
  return {
    machine, engine: model.engine, valves,
    visits: jobs.map((j): VisitSummary => ({ jobId: j.jobId, number: j.number, closedAt: j.closedAt.toISOString(), meter: j.meter, revision: j.revision, person: j.person ?? '', words: visitWords(valves, j.jobId) })).reverse(),
    firstMeter: replaced ? null : jobs.find(j => j.meter !== null)?.meter ?? null, useNow, usePerDay: perDay,
    due: nextDue({
      interval: model.engine.interval, last: last ? { atMs: last.closedAt.getTime(), use: uses.get(last.jobId) ?? null } : null, since: { atMs: first?.openedAt.getTime() ?? now.getTime(), use: counted[0]?.use ?? null },
      nowMs: now.getTime(), useNow, usePerDay: perDay, forecasts: valves.filter(moves).map(v => ({ valveId: v.valveId, soonest: v.forecast?.soonest ?? null })),
    }), now: now.toISOString(),
  }
}
