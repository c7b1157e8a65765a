import type { BestRun, PracticeRunRequest } from '../../shared/practice'
import { change, type Db, many } from '../database/query'

export const insertPracticeRun = async (
  db: Db,
  shopId: number,
  personId: number,
  run: PracticeRunRequest,
  score: number,
  at: Date,
): Promise<number> =>
  (
    await change(
      db,
      'INSERT INTO practice_runs (shop_id, person_id, engine_id, level, seed, guidance, score, seconds, acts, handed_over_at) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
      [
        shopId,
        personId,
        run.engineId,
        run.level,
        run.seed,
        run.guidance,
        score,
        run.seconds,
        JSON.stringify(run.acts),
        at,
      ],
    )
  ).id

/** Each person's best run with each engine at each level: most points, then least time, then the earliest. */
export const bestRunsOfShop = async (db: Db, shopId: number): Promise<BestRun[]> =>
  (
    await many<Omit<BestRun, 'at'> & { at: Date }>(
      db,
      `
  SELECT engineId, level, personId, person, score, seconds, guidance, at FROM (
    SELECT r.engine_id AS engineId, r.level, r.person_id AS personId, p.name AS person, r.score, r.seconds, r.guidance, r.handed_over_at AS at,
      ROW_NUMBER() OVER (PARTITION BY r.engine_id, r.level, r.person_id ORDER BY r.score DESC, r.seconds, r.id) AS place
    FROM practice_runs r JOIN people p ON p.shop_id = r.shop_id AND p.id = r.person_id WHERE r.shop_id = ?) ranked
  WHERE place = 1 ORDER BY score DESC, seconds LIMIT 400`,
      [shopId],
    )
  ).map(run => ({ ...run, at: run.at.toISOString() }))
