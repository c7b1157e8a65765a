import { say } from '../../core/said'
import type { PlaceRequest, TaskRequest, TaskRow } from '../../shared/board'
import { type Pool, transaction } from '../database/query'
import { notFound, Problem, unfit } from '../problem'
import {
  boardOf,
  bumpBoard,
  deleteTask,
  insertTask,
  setPlace,
  setTaskDone,
  type StoredTask,
  taskById,
} from '../repositories/board'
import { jobById } from '../repositories/jobs'
import { peopleOfShop } from '../repositories/people'
import { lockShop } from '../repositories/shops'
import { t } from '../words'
import { tellBoard } from './live'
import type { SignedIn } from './people'

const asRow = (task: StoredTask): TaskRow => ({ ...task, doneAt: task.doneAt?.toISOString() ?? null })

/** Closer than this there is no room between two places, and all are numbered anew. */
const LEAST_GAP = 1e-6

/** Gives a job to a person and a place among theirs: before another, or last. */
export async function placeJob(
  pool: Pool,
  { shopId }: SignedIn,
  jobId: number,
  { personId, beforeJobId }: PlaceRequest,
): Promise<void> {
  await transaction(pool, async db => {
    // two people who move cards at once take turns
    await lockShop(db, shopId)
    const job = await jobById(db, shopId, jobId)
    if (!job) throw notFound('job')
    if (job.status === 'closed' || job.status === 'abandoned')
      throw new Problem('job-closed', say('refused.this-job-is-done-and'))
    if (personId !== null && !(await peopleOfShop(db, shopId)).some(p => p.id === personId))
      throw unfit('personId', say('refused.choose-somebody-of-this-shops'))
    const others = (await boardOf(db, shopId)).filter(p => p.jobId !== jobId)
    const index = beforeJobId === null ? -1 : others.findIndex(p => p.jobId === beforeJobId)
    const [previous, next] = index < 0 ? [others.at(-1), undefined] : [others[index - 1], others[index]]
    const place = next ? (previous ? (previous.place + next.place) / 2 : next.place - 1) : (previous?.place ?? 0) + 1
    await setPlace(db, shopId, { jobId, assignedTo: personId, place })
    if (next && previous && next.place - previous.place < LEAST_GAP)
      for (const [i, p] of (await boardOf(db, shopId)).entries()) await setPlace(db, shopId, { ...p, place: i + 1 })
    await bumpBoard(db, shopId)
  })
  tellBoard(pool, shopId)
}

/** Tells everybody who looks at the board to look again. */
export async function boardChanged(pool: Pool, shopId: number): Promise<void> {
  await bumpBoard(pool, shopId)
  tellBoard(pool, shopId)
}

export async function addTask(pool: Pool, { shopId }: SignedIn, jobId: number, request: TaskRequest): Promise<TaskRow> {
  const job = await jobById(pool, shopId, jobId)
  if (!job) throw notFound('job')
  const id = await insertTask(pool, shopId, jobId, request)
  await boardChanged(pool, shopId)
  return asRow((await taskById(pool, shopId, id))!)
}

/** Why a task is held: what wants a warm engine waits until the valves are done. */
export const heldBecause = (needs: TaskRow['needs'], jobStatus: string): string | null =>
  needs === 'warm' && jobStatus !== 'closed' && jobStatus !== 'abandoned' ? t('card-tasks.valves-first') : null

/** Ticks a task, or takes the tick back. One that is held wants a reason. */
export async function tickTask(
  pool: Pool,
  person: SignedIn,
  id: number,
  { done, because }: { done: boolean; because: string },
  now: Date,
): Promise<TaskRow> {
  const task = await taskById(pool, person.shopId, id)
  if (!task) throw notFound('task')
  const job = (await jobById(pool, person.shopId, task.jobId))!
  const held = heldBecause(task.needs, job.status) !== null
  if (done && held && !because) throw new Problem('held', say('refused.held', { task: task.name }))
  await setTaskDone(pool, person.shopId, id, done ? { by: person.id, at: now, because: held ? because : '' } : null)
  await boardChanged(pool, person.shopId)
  return asRow((await taskById(pool, person.shopId, id))!)
}
export async function removeTask(pool: Pool, { shopId }: SignedIn, id: number): Promise<void> {
  const task = await taskById(pool, shopId, id)
  if (!task) throw notFound('task')
  if (task.doneAt) throw new Problem('done-already', say('refused.this-is-done-already-untick'))
  await deleteTask(pool, shopId, id)
  await boardChanged(pool, shopId)
}
