import { type Engine, firingIntervalName } from '../../core/engine'
import { spanWords } from '../../core/feeler'
import { type LearnedParts, learnedParts } from '../../core/job/learned-parts'
import { say } from '../../core/said'
import { doubtsOf, fitOf, LEAST_FIT, readQuery, rejudge } from '../../core/spec-book'
import { identitySchema } from '../../core/spec-book/identity'
import type {
  Affected,
  DraftRequest,
  IdentityChange,
  IdentityRequest,
  ModelHit,
  ModelRequest,
  ModelResponse,
  ModelRow,
  RevisionRow,
  SearchResponse,
} from '../../shared/spec-book'
import type { ShopThing } from '../../words/en/refusals'
import { type Db, type Pool, transaction } from '../database/query'
import { notFound, Problem } from '../problem'
import { lastClosedJobOfModel } from '../repositories/jobs'
import { machineById } from '../repositories/machines'
import {
  gramCounts,
  holdModel,
  insertModel,
  modelById,
  modelCount,
  modelsAfter,
  modelsByIds,
  modelsLastUsed,
  modelsOfYear,
  modelsWithGrams,
  updateModel,
} from '../repositories/models'
import { markFamilyStale } from '../repositories/outlooks'
import { peopleOfShop } from '../repositories/people'
import {
  approveRevision,
  insertRevision,
  lastLeftOfModel,
  lockNewest,
  openJobsOfModel,
  revisionById,
  revisionsOfModel,
  sendBackRevision,
} from '../repositories/revisions'
import { t, tell } from '../words'
import { foldedJob } from './jobs'
import { laidOver } from './laid-over'
import { refreshSoon } from './machines/outlooks'
import type { SignedIn } from './people'

const missing = (what: ShopThing = 'model'): never => {
  throw notFound(what)
}

/**
 * Refuses figures that may be slips until each is answered. @returns what was answered, to be kept with the revision
 */
function answeredDoubts(engine: Engine, answered: string[]): RevisionRow['answered'] {
  const doubts = doubtsOf(engine)
  const open = doubts.filter(d => !answered.includes(d.id))
  if (open.length > 0)
    throw new Problem('doubts', say('refused.some-figures-may-be-slips'), {
      doubts: open,
      fields: open.map(d => ({ field: d.field, message: d.says })),
    })
  return doubts.map(({ id, says }) => ({ id, says }))
}

/** Whether somebody is the only lead of their shop: nobody else could look at their drafts. */
export const onlyLead = async (db: Db, person: SignedIn): Promise<boolean> =>
  person.role === 'lead' && (await leadsOf(db, person.shopId)) === 1
const leadsOf = async (db: Db, shopId: number): Promise<number> =>
  (await peopleOfShop(db, shopId)).filter(p => p.role === 'lead').length

/** Adds an engine model with its first revision, a draft; a shop's only lead may approve it at once, with a reason. */
export const addModel = (
  pool: Pool,
  person: SignedIn,
  { engine, answered, approveBecause, ...model }: ModelRequest,
): Promise<ModelRow> =>
  transaction(pool, async db => {
    const kept = answeredDoubts(engine, answered)
    const approved = approveBecause !== '' && (await onlyLead(db, person))
    const modelId = await insertModel(db, person.shopId, model)
    await insertRevision(db, person.shopId, {
      modelId,
      revision: 1,
      engine,
      authorId: person.id,
      approved,
      reason: t('record.first-entry'),
      answered: kept,
      approvalReason: approved ? approveBecause : '',
    })
    return (await modelById(db, person.shopId, modelId)) ?? missing()
  })

/** Changes what a model is called and found by; its figures stay. */
export const renameModel = (
  pool: Pool,
  person: SignedIn,
  modelId: number,
  identity: IdentityChange,
): Promise<ModelRow> =>
  transaction(pool, async db => {
    const now = (await holdModel(db, person.shopId, modelId)) && (await modelById(db, person.shopId, modelId))
    // two who change a year each may have put them the wrong way round
    const settled = identitySchema.parse(laidOver<IdentityRequest>(now ?? missing(), identity))
    await updateModel(db, person.shopId, modelId, settled)
    return (await modelById(db, person.shopId, modelId)) ?? missing()
  })

/** A model with all its revisions, and the open jobs on its machines. */
export async function readModel(db: Db, person: SignedIn, modelId: number): Promise<ModelResponse> {
  const model = (await modelById(db, person.shopId, modelId)) ?? missing()
  return {
    model,
    revisions: await revisionsOfModel(db, person.shopId, modelId),
    openJobs: await openJobsOfModel(db, person.shopId, modelId),
    mayApproveOwn: await onlyLead(db, person),
    learned: model.engine.parts ? null : await learnedFrom(db, person.shopId, modelId),
  }
}
/** What the latest job on a model took off its machine. */
async function learnedFrom(db: Db, shopId: number, modelId: number): Promise<LearnedParts | null> {
  const last = await lastClosedJobOfModel(db, shopId, modelId)
  if (!last) return null
  const { pin, state } = await foldedJob(db, shopId, last.id)
  return learnedParts(pin, state)
}

/**
 * A change of a model's figures: a new revision, to be approved. @throws Problem 409 when somebody else's came between,
 * with its number
 */
export const addDraft = (
  pool: Pool,
  person: SignedIn,
  modelId: number,
  { engine, reason, basedOn, answered }: DraftRequest,
): Promise<RevisionRow> =>
  transaction(pool, async db => {
    const { shopId } = person
    const newest = (await modelById(db, shopId, modelId)) ? await lockNewest(db, shopId, modelId) : missing()
    if (newest?.id !== basedOn)
      throw new Problem('newer-revision', say('refused.newer-typed', { revision: newest?.revision ?? 0 }), {
        detail: String(newest?.id),
      })
    const kept = answeredDoubts(engine, answered)
    const id = await insertRevision(db, shopId, {
      modelId,
      revision: newest.revision + 1,
      engine,
      authorId: person.id,
      approved: false,
      reason,
      basedOn,
      answered: kept,
    })
    return (await revisionById(db, shopId, id)) ?? missing('revision')
  })

/** A draft that can still be decided about. */
async function openDraft(db: Db, shopId: number, revisionId: number): Promise<RevisionRow> {
  const draft = (await revisionById(db, shopId, revisionId)) ?? missing('revision')
  if (draft.approvedAt) throw new Problem('done-already', say('refused.this-revision-is-approved-already'))
  if (draft.sentBackAt) throw new Problem('done-already', say('refused.sent-back', { by: draft.sentBackBy! }))
  const inForce = (await modelById(db, shopId, draft.modelId)) ?? missing()
  if (inForce.status === 'approved' && inForce.revision > draft.revision)
    throw new Problem('newer-revision', say('refused.newer-in-force', { revision: inForce.revision }))
  return draft
}

const approving = (pool: Pool, lead: SignedIn, revisionId: number, reason: string, now: Date): Promise<RevisionRow> =>
  transaction(pool, async db => {
    const draft = await openDraft(db, lead.shopId, revisionId)
    if (draft.authorId === lead.id) {
      if ((await leadsOf(db, lead.shopId)) > 1) throw new Problem('own-draft', say('refused.this-draft-is-your-own'))
      if (reason === '')
        throw new Problem('reason-missing', say('refused.this-draft-is-your-own-and'), {
          fields: [{ field: 'reason', message: say('wrong.say-why-you-approve-your') }],
        })
    }
    await approveRevision(db, lead.shopId, draft, lead.id, reason, now)
    // limits and interval may be others: what is due of its machines is worked out anew
    await markFamilyStale(db, lead.shopId, draft.modelId)
    return (await revisionById(db, lead.shopId, revisionId)) ?? missing('revision')
  })
/** A lead approves a draft: of somebody else, or their own where there is no other lead, with a reason. */
export async function approveDraft(
  pool: Pool,
  lead: SignedIn,
  revisionId: number,
  reason: string,
  now: Date,
): Promise<RevisionRow> {
  const approved = await approving(pool, lead, revisionId, reason, now)
  refreshSoon(pool)
  return approved
}

export const sendBackDraft = (
  pool: Pool,
  lead: SignedIn,
  revisionId: number,
  reason: string,
  now: Date,
): Promise<RevisionRow> =>
  transaction(pool, async db => {
    const draft = await openDraft(db, lead.shopId, revisionId)
    await sendBackRevision(db, lead.shopId, draft.id, lead.id, reason, now)
    return (await revisionById(db, lead.shopId, revisionId)) ?? missing('revision')
  })

/** What a revision would do to the valves as the shop's last jobs left them, against the one in force. */
export async function effectOf(db: Db, person: SignedIn, revisionId: number): Promise<Affected[]> {
  const draft = (await revisionById(db, person.shopId, revisionId)) ?? missing('revision')
  const { engine } = (await modelById(db, person.shopId, draft.modelId)) ?? missing()
  return (await lastLeftOfModel(db, person.shopId, draft.modelId)).flatMap(({ valveId, machine, tag, loMm, hiMm }) => {
    const valve = draft.engine.valves.find(v => v.id === valveId)
    if (!valve) return []
    return [
      {
        machine,
        tag,
        valve: valve.name,
        role: valve.role,
        loMm,
        hiMm,
        before: rejudge({ loMm, hiMm }, engine.clearance[valve.role]),
        after: rejudge({ loMm, hiMm }, draft.engine.clearance[valve.role]),
      },
    ]
  })
}

/** A model as a line of the book. */
export function hitOf({ engine, revisionId: _, ...row }: ModelRow): ModelHit {
  const [intake, exhaust] = [spanWords(engine.clearance.intake), spanWords(engine.clearance.exhaust)]
  return {
    ...row,
    intake: intake.value,
    exhaust: exhaust.value,
    thou: `${intake.more} / ${exhaust.more}`.replaceAll(' thou', ''),
    layout: tell(firingIntervalName(engine)),
  }
}

/** Rows of the trigram table that one search reads, about: enough to tell models apart, few enough to stay quick. */
const MOST_GRAM_ROWS = 12_000
const CANDIDATES = 80
/** Models with fewer of the trigrams than this part of the best one’s are not looked at letter by letter. */
const LEAST_SHARE = 0.4
async function find(db: Db, shopId: number, q: string, limit: number): Promise<number[]> {
  const query = readQuery(q)
  const grams = [
    ...query.grams,
    ...(query.words.length === 0 && query.year !== null
      ? readQuery(`x${query.year}`).grams.filter(g => !g.includes('x'))
      : []),
  ]
  const counts = await gramCounts(db, shopId, grams)
  let rows = 0
  const rarest = counts.filter(({ n }, i) => {
    rows += n
    return i === 0 || rows <= MOST_GRAM_ROWS
  })
  const candidates = rarest.length
    ? await modelsWithGrams(
        db,
        shopId,
        rarest.map(r => r.gram),
        CANDIDATES,
      )
    : []
  const mostHits = Math.max(0, ...candidates.map(c => c.hits))
  const byGrams = candidates.filter(c => c.hits >= mostHits * LEAST_SHARE)
  const byYear =
    query.year !== null && query.words.length === 0 ? await modelsOfYear(db, shopId, query.year, limit) : []
  return [...new Map([...byGrams, ...byYear].map(m => [m.id, m])).values()]
    .map(m => ({ id: m.id, name: `${m.maker} ${m.model} ${m.code}`, fit: fitOf(query, m) }))
    .filter(m => m.fit >= LEAST_FIT)
    .sort((a, b) => b.fit - a.fit || a.name.localeCompare(b.name))
    .slice(0, limit)
    .map(m => m.id)
}

/**
 * Models by what was typed, tolerant of case, spaces, hyphens and small slips; without anything typed, those last used,
 * then the book's beginning. The model of the machine in question comes first.
 */
export async function searchModels(
  db: Db,
  shopId: number,
  { q, machine, limit }: { q: string; machine?: number; limit: number },
): Promise<SearchResponse> {
  const own = machine === undefined ? null : ((await machineById(db, shopId, machine))?.modelId ?? null)
  const total = await modelCount(db, shopId)
  if (readQuery(q).words.length === 0 && readQuery(q).year === null) {
    const used = [
      ...new Set([...(own === null ? [] : [own]), ...(await modelsLastUsed(db, shopId, Math.min(8, limit)))]),
    ]
    const first = await modelsByIds(db, shopId, used)
    const rest = (await modelsAfter(db, shopId, null, limit)).filter(m => !used.includes(m.id))
    return { rows: [...first, ...rest].slice(0, limit).map(hitOf), total, recent: first.length > 0 }
  }
  const ids = await find(db, shopId, q, limit)
  const ordered = own !== null && ids.includes(own) ? [own, ...ids.filter(id => id !== own)] : ids
  return { rows: (await modelsByIds(db, shopId, ordered)).map(hitOf), total, recent: false }
}
