import { type Engine, upcastEngine } from '../../../core/engine'
import { spanOf } from '../../../core/feeler'
import { type Outlook, outlook } from '../../../core/history'
import { DAY_MS } from '../../../core/units'
import type { MachineResponse, ValveHistory, ValvePoint, VisitSummary } from '../../../shared/machines'
import type { Db } from '../../database/query'
import { notFound } from '../../problem'
import { machineById, recordsOfMachine } from '../../repositories/machines'
import { modelById } from '../../repositories/models'
import { specsOfModel } from '../../repositories/revisions'
import { shopById } from '../../repositories/shops'
import { jobVisits, pastVisitsOf } from '../../repositories/visits'
import { t } from '../../words'
import { onItsDay } from '../days'
import { gatherFacts } from './outlooks'
import type { VisitRecord } from './visits'

const keyOf = ({ kind, id }: Pick<VisitRecord, 'kind' | 'id'>): string => `${kind} ${id}`

function valveHistory(
  engine: Engine,
  valveId: string,
  visits: readonly VisitRecord[],
  specThen: Map<string, Engine>,
  found: Outlook,
): ValveHistory {
  const { name, role } = engine.valves.find(v => v.id === valveId)!
  const points = visits.map((v): ValvePoint => ({
    visit: keyOf(v),
    atMs: v.atMs,
    use: v.use,
    ...spanOf((specThen.get(keyOf(v)) ?? engine).clearance[role]),
    ...(v.valves[valveId] ?? { asFound: null, asLeft: null, touched: false }),
  }))
  return { valveId, name, role, points, ...found.valves[valveId]! }
}

/** What a visit did, in words. */
function visitWords({ valves }: VisitRecord, { valves: named }: Engine): string {
  const at = named.map(v => ({ name: v.name, point: valves[v.id] })).filter(v => v.point)
  const set = at.filter(v => v.point!.touched).map(v => v.name)
  const out = at.filter(v => v.point!.asLeft !== null && v.point!.asLeft.verdict !== 'in').map(v => v.name)
  if (at.length === 0) return t('visit.no-valve')
  return t('visit.done', {
    set: set.length === at.length ? 'all' : set,
    out,
    proved: at.every(v => v.point!.asLeft),
  })
}

/** A machine with all that its visits say: readings, drift, forecast, and when it must come back. */
export async function readMachine(db: Db, shopId: number, id: number, now: Date): Promise<MachineResponse> {
  const machine = await machineById(db, shopId, id)
  const model = machine && (await modelById(db, shopId, machine.modelId))
  if (!machine || !model) throw notFound('machine')
  const { engine } = model
  const approved = await specsOfModel(db, shopId, machine.modelId)
  const specAt = (at: Date): Engine => (approved.findLast(r => r.approvedAt <= at) ?? approved[0])?.engine ?? engine
  const { pasts, facts } = await gatherFacts(db, shopId, { modelId: machine.modelId, engine }, [id], specAt)
  const past = pasts.get(id)!
  const jobs = await jobVisits(db, shopId, id)
  const late = await pastVisitsOf(db, shopId, [id])
  const found = outlook(facts.get(id)!)
  const specThen = new Map<string, Engine>([
    ...jobs.map(j => [`job ${j.id}`, upcastEngine(j.engine)] as const),
    ...late.map(p => [`past visit ${p.id}`, specAt(p.at)] as const),
  ])
  const summary = (v: VisitRecord): VisitSummary => {
    const job = v.kind === 'job' ? jobs.find(j => j.id === v.id) : undefined
    const paper = v.kind === 'past visit' ? late.find(p => p.id === v.id) : undefined
    const words = visitWords(v, specThen.get(keyOf(v)) ?? engine)
    return {
      key: keyOf(v),
      jobId: job?.id ?? null,
      number: job?.number ?? null,
      at: (job?.closedAt ?? new Date(v.atMs)).toISOString(),
      meter: v.meter,
      revision: job?.revision ?? null,
      person: job?.person ?? paper?.person ?? '',
      words: paper?.words ? `${words}. ${paper.words}` : words,
      ofEngineBefore: past.before.includes(v),
    }
  }
  const last = past.uses.at(-1)
  const onDay = onItsDay((await shopById(db, shopId)).timeZone)
  return {
    machine,
    engine,
    valves: engine.valves.map(v => valveHistory(engine, v.id, past.visits, specThen, found)),
    visits: [...past.before, ...past.visits].map(summary).reverse(),
    records: (await recordsOfMachine(db, shopId, id)).map(r => ({ ...r, at: r.at.toISOString() })),
    firstMeter: past.firstMeter,
    usePerDay: found.usePerDay,
    useNow: last ? last.use + ((found.usePerDay ?? 0) * Math.max(0, now.getTime() - last.atMs)) / DAY_MS : null,
    due: found.due && { first: onDay(found.due.first), all: found.due.all.map(onDay) },
    now: now.toISOString(),
  }
}
