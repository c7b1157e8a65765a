import type { Engine } from '../../../core/engine'
import { limitsOf } from '../../../core/feeler'
import {
  familyDrift,
  type KnownDrift,
  type MachinePast as PinnedPast,
  type Outlook,
  type OutlookFacts,
} from '../../../core/history'
import { type Db, type Pool, transaction } from '../../database/query'
import { createdOf, machineById } from '../../repositories/machines'
import { modelById, modelsByIds } from '../../repositories/models'
import {
  FAMILY_MACHINES,
  familyDrifts,
  keptDrifts,
  markFamilyStale,
  markStale,
  staleMachines,
  type StoredOutlook,
  storeOutlooks,
} from '../../repositories/outlooks'
import { tellFailure } from '../../telling/log'
import { outlooksElsewhere } from '../../workers/outlook-thread'
import { asVisit, type MachinePast, pastsOf } from './visits'

type FamilyRow = KnownDrift & { machineId: number; valveId: string }
/** How the others of a machine’s model drift, by valve. */
function familyWithout(rows: readonly FamilyRow[], machineId: number): OutlookFacts['family'] {
  const others: Record<string, KnownDrift[]> = {}
  for (const { valveId, machineId: of, perUse, sigma } of rows)
    if (of !== machineId) (others[valveId] ??= []).push({ perUse, sigma })
  return Object.fromEntries(Object.entries(others).map(([valveId, known]) => [valveId, familyDrift(known)]))
}

/** What `outlook` needs of one machine. */
const factsOf = (engine: Engine, past: MachinePast, family: OutlookFacts['family'], since: Date): OutlookFacts => ({
  interval: engine.interval,
  limits: Object.fromEntries(engine.valves.map(v => [v.id, limitsOf(engine.clearance[v.role])])),
  visits: past.visits.map(asVisit),
  uses: past.uses,
  sinceMs: past.engineAtMs ?? Math.min(since.getTime(), past.visits[0]?.atMs ?? Infinity),
  family,
})

const stored = (
  machineId: number,
  modelId: number,
  past: MachinePast,
  { due, usePerDay, valves }: Outlook,
): StoredOutlook => ({
  machineId,
  modelId,
  dueAt: due?.first.atMs === null || due?.first.atMs === undefined ? null : new Date(due.first.atMs),
  reasons: due?.all ?? [],
  firstMeter: past.firstMeter,
  usePerDay,
  drifts: Object.entries(valves).flatMap(([valveId, { drift }]) =>
    drift.kind === 'drift' ? [{ valveId, perUse: drift.perUse, sigma: drift.sigma }] : [],
  ),
})

const driftWords = (rows: readonly ({ valveId: string } & KnownDrift)[]): string =>
  rows
    .map(r => `${r.valveId} ${r.perUse} ${r.sigma}`)
    .sort()
    .join()

/**
 * All that is known of some machines of one model, and what `outlook` makes of it: the machine's page and the list of
 * what is due rest on the same.
 */
export async function gatherFacts(
  db: Db,
  shopId: number,
  model: { modelId: number; engine: Engine },
  ids: readonly number[],
  specAt: (at: Date) => Engine,
): Promise<{ pasts: Map<number, MachinePast>; facts: Map<number, OutlookFacts>; family: FamilyRow[] }> {
  const pasts = await pastsOf(
    db,
    shopId,
    ids.map(id => ({ id, specAt })),
  )
  const since = new Map((await createdOf(db, shopId, ids)).map(m => [m.id, m.at]))
  const family = await familyDrifts(
    db,
    shopId,
    model.modelId,
    model.engine.valves.map(v => v.id),
  )
  const facts = new Map(
    ids.map(id => [id, factsOf(model.engine, pasts.get(id)!, familyWithout(family, id), since.get(id) ?? new Date())]),
  )
  return { pasts, facts, family }
}

/** What a new job of a machine is told of its past. */
export async function pastForJob(
  db: Db,
  shopId: number,
  model: { modelId: number; engine: Engine },
  machineId: number,
): Promise<PinnedPast> {
  const { facts } = await gatherFacts(db, shopId, model, [machineId], () => model.engine)
  const { visits, uses, sinceMs, family } = facts.get(machineId)!
  return { visits: [...visits], uses: [...uses.slice(0, 1), ...uses.slice(1).slice(-1)], sinceMs, family }
}

/** Writes down what was worked out: all of a machine, or nothing. */
const store = (pool: Pool, shopId: number, rows: StoredOutlook[]): Promise<void> =>
  transaction(pool, db => storeOutlooks(db, shopId, rows))

/**
 * Works out some machines of one shop and model in the other thread and writes it down. @returns whether one of a small
 * family drifts otherwise than was kept: others rest on it
 */
async function refresh(db: Pool, shopId: number, modelId: number, ids: readonly number[]): Promise<boolean> {
  const [model] = await modelsByIds(db, shopId, [modelId])
  // a model without any figures says nothing, and is not asked again until it has some
  if (!model) {
    await store(
      db,
      shopId,
      ids.map(machineId => ({
        machineId,
        modelId,
        dueAt: null,
        reasons: [],
        firstMeter: null,
        usePerDay: null,
        drifts: [],
      })),
    )
    return false
  }
  const before = await keptDrifts(db, shopId, ids)
  const { pasts, facts, family } = await gatherFacts(
    db,
    shopId,
    { modelId, engine: model.engine },
    ids,
    () => model.engine,
  )
  const found = await outlooksElsewhere(ids.map(id => facts.get(id)!))
  const rows = ids.map((id, i) => stored(id, modelId, pasts.get(id)!, found[i]!))
  await store(db, shopId, rows)
  return (
    family.length < FAMILY_MACHINES * model.engine.valves.length &&
    rows.some(r => driftWords(r.drifts) !== driftWords(before.filter(f => f.machineId === r.machineId)))
  )
}

/**
 * One machine has changed: it is worked out at once, and what others of its model take from it later. It follows what
 * was committed already and never undoes that: where it cannot be done now, the machine waits for the next round.
 */
export async function machineChanged(pool: Pool, shopId: number, machineId: number): Promise<void> {
  try {
    const machine = await machineById(pool, shopId, machineId)
    if (!machine || !(await modelById(pool, shopId, machine.modelId))) return
    if (!(await refresh(pool, shopId, machine.modelId, [machineId]))) return
    await markFamilyStale(pool, shopId, machine.modelId, machineId)
    refreshSoon(pool)
  } catch (error) {
    tellFailure(error, { doing: `what is due of machine ${machineId}` })
    await markStale(pool, shopId, machineId).catch(() => {})
  }
}

/** Few enough that requests are not held up while they are read and handed over. */
const BATCH = 40
/** Works out all machines that are stale, a batch at a time. @returns how many */
export async function refreshStale(pool: Pool): Promise<number> {
  for (let done = 0; ;) {
    const rows = await staleMachines(pool, BATCH)
    if (rows.length === 0) return done
    const { shopId, modelId } = rows[0]!
    const same = rows.filter(r => r.shopId === shopId && r.modelId === modelId)
    await refresh(
      pool,
      shopId,
      modelId,
      same.map(r => r.id),
    )
    done += same.length
  }
}

let running: Promise<unknown> | null = null
let again = false
/** Begins a round of what is stale, unless one is under way; then one more after it. */
export function refreshSoon(pool: Pool): void {
  if (running) {
    again = true
    return
  }
  running = refreshStale(pool)
    .catch((error: Error) => tellFailure(error, { doing: 'what is due' }))
    .finally(() => {
      running = null
      if (!again) return
      again = false
      refreshSoon(pool)
    })
}
/** When the round that is under way has ended. */
export const refreshed = async (): Promise<void> => {
  while (running) await running
}
