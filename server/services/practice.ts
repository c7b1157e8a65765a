import { type Marked, markRun, PRACTICE_ENGINES, type PracticeEngine, slipsOf } from '../../core/practice'
import type { PracticeResponse, PracticeRunRequest } from '../../shared/practice'
import type { Db } from '../database/query'
import { notFound } from '../problem'
import { modelById } from '../repositories/models'
import { bestRunsOfShop, insertPracticeRun, runsOverTime } from '../repositories/practice-runs'
import type { SignedIn } from './people'

/** The shop's best, and what has been practised over time: a lead sees how the whole crew comes on. */
export const readPractice = async (db: Db, person: SignedIn): Promise<PracticeResponse> => ({
  best: await bestRunsOfShop(db, person.shopId),
  runs: await runsOverTime(db, person.shopId, person.role === 'lead' ? null : person.id),
})

const OF_SPEC_BOOK = /^model-(\d+)$/

/** The engine that was practised on: a built-in one, or a model of the shop as it is in force. */
async function practisedOn(db: Db, shopId: number, engineId: string): Promise<PracticeEngine> {
  const builtIn = PRACTICE_ENGINES.find(e => e.id === engineId)
  if (builtIn) return builtIn
  const modelId = OF_SPEC_BOOK.exec(engineId)?.[1]
  const model = modelId ? await modelById(db, shopId, Number(modelId)) : null
  if (!model) throw notFound('practice engine')
  return { id: engineId, name: `${model.maker} ${model.model}`, about: model.kind, engine: model.engine }
}

/** Marks a run and keeps it. The marks are the server's own: a score that is sent is not asked for. */
export async function handOver(
  db: Db,
  person: SignedIn,
  run: PracticeRunRequest,
  now: Date,
): Promise<{ marked: Marked } & PracticeResponse> {
  const kind = await practisedOn(db, person.shopId, run.engineId)
  const { level, seed, guidance, robot, drill } = run
  const marked = markRun({ kind, level, seed, guidance, robot, ...(drill ? { drill } : {}) }, run.acts)
  await insertPracticeRun(db, person.shopId, person.id, run, { ...marked, slips: slipsOf(marked.marks) }, now)
  return { marked, ...(await readPractice(db, person)) }
}
