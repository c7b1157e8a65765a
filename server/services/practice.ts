import { type Marked, markRun, PRACTICE_ENGINES, type PracticeEngine } from '../../core/practice'
import type { PracticeResponse, PracticeRunRequest } from '../../shared/practice'
import type { Db } from '../database/query'
import { modelById } from '../repositories/models'
import { bestRunsOfShop, insertPracticeRun } from '../repositories/practice-runs'
import { notFound } from '../problem'
import type { SignedIn } from './people'

export const readPractice = async (db: Db, shopId: number): Promise<PracticeResponse> => ({
  best: await bestRunsOfShop(db, shopId),
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
): Promise<{ marked: Marked; best: PracticeResponse['best'] }> {
  const kind = await practisedOn(db, person.shopId, run.engineId)
  const marked = markRun({ kind, level: run.level, seed: run.seed, guidance: run.guidance, robot: run.robot }, run.acts)
  await insertPracticeRun(db, person.shopId, person.id, run, marked.score, now)
  return { marked, best: await bestRunsOfShop(db, person.shopId) }
}
