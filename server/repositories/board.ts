import type { TaskRow } from '../../shared/board'
import { change, type Db, many, maybeOne } from '../database/query'

export interface BoardPlace {
  jobId: number
  assignedTo: number | null
  place: number
}
/** Whose the open jobs are, in the order of the board. */
export const boardOf = (db: Db, shopId: number): Promise<BoardPlace[]> =>
  many(
    db,
    `SELECT id AS jobId, assigned_to AS assignedTo, board_place AS place FROM jobs
      WHERE shop_id = ? AND status IN ('open', 'held') ORDER BY board_place, id`,
    [shopId],
  )
/** Work that is open and was somebody’s is nobody’s. */
export const unassignOpen = (db: Db, shopId: number, personId: number) =>
  change(
    db,
    "UPDATE jobs SET assigned_to = NULL WHERE shop_id = ? AND assigned_to = ? AND status IN ('open', 'held')",
    [shopId, personId],
  )
export const setPlace = (db: Db, shopId: number, { jobId, assignedTo, place }: BoardPlace) =>
  change(db, 'UPDATE jobs SET assigned_to = ?, board_place = ? WHERE shop_id = ? AND id = ?', [
    assignedTo,
    place,
    shopId,
    jobId,
  ])
/** Tells all who watch the board that it has changed. */
export const bumpBoard = (db: Db, shopId: number) =>
  change(db, 'UPDATE shops SET board_version = board_version + 1 WHERE id = ?', [shopId])
export const boardVersions = (db: Db, shopIds: readonly number[]): Promise<{ shopId: number; version: number }[]> =>
  many(
    db,
    `SELECT id AS shopId, board_version AS version FROM shops WHERE id IN (${shopIds.map(() => '?').join(', ')})`,
    [...shopIds],
  )

export interface StoredTask extends Omit<TaskRow, 'doneAt'> {
  doneAt: Date | null
}
const TASK = `SELECT t.id, t.job_id AS jobId, t.name, t.needs, p.name AS doneBy, t.done_at AS doneAt, t.because
    FROM job_tasks t LEFT JOIN people p ON p.shop_id = t.shop_id AND p.id = t.done_by`
export const tasksOfJobs = (db: Db, shopId: number, jobIds: readonly number[]): Promise<StoredTask[]> =>
  jobIds.length === 0
    ? Promise.resolve([])
    : many(db, `${TASK} WHERE t.shop_id = ? AND t.job_id IN (${jobIds.map(() => '?').join(', ')}) ORDER BY t.id`, [
        shopId,
        ...jobIds,
      ])
export const taskById = (db: Db, shopId: number, id: number): Promise<StoredTask | null> =>
  maybeOne(db, `${TASK} WHERE t.shop_id = ? AND t.id = ?`, [shopId, id])
export const insertTask = async (
  db: Db,
  shopId: number,
  jobId: number,
  { name, needs }: Pick<TaskRow, 'name' | 'needs'>,
): Promise<number> =>
  (
    await change(db, 'INSERT INTO job_tasks (shop_id, job_id, name, needs) VALUES (?, ?, ?, ?)', [
      shopId,
      jobId,
      name,
      needs,
    ])
  ).id
export const setTaskDone = (
  db: Db,
  shopId: number,
  id: number,
  done: { by: number; at: Date; because: string } | null,
) =>
  change(db, 'UPDATE job_tasks SET done_by = ?, done_at = ?, because = ? WHERE shop_id = ? AND id = ?', [
    done?.by ?? null,
    done?.at ?? null,
    done?.because ?? '',
    shopId,
    id,
  ])
export const deleteTask = (db: Db, shopId: number, id: number) =>
  change(db, 'DELETE FROM job_tasks WHERE shop_id = ? AND id = ?', [shopId, id])
