import type { Slip } from '../../core/practice'
import type { BestRun, PracticeRunRequest, RunOverTime } from '../../shared/practice'
import { change, type Db, many } from '../database/query'

export const insertPracticeRun = async (
  db: Db,
  shopId: number,
  personId: number,
  run: PracticeRunRequest,
  { score, slips }: { score: number; slips: Slip[] },
  at: Date,
): Promise<number> =>
  (
    await change(
      db,
      `INSERT INTO practice_runs (shop_id, person_id, engine_id, level, seed, guidance, drill, score, seconds, acts,
         slips, handed_over_at) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
      [
        shopId,
        personId,
        run.engineId,
        run.level,
        run.seed,
        run.guidance,
        run.drill ?? '',
        score,
        run.seconds,
        JSON.stringify(run.acts),
        JSON.stringify(slips),
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
  SELECT engineId, level, NULLIF(drill, '') AS drill, personId, person, score, seconds, guidance, at FROM (
    SELECT r.engine_id AS engineId, r.level, r.drill, r.person_id AS personId, p.name AS person, r.score, r.seconds,
      r.guidance, r.handed_over_at AS at,
      ROW_NUMBER() OVER (PARTITION BY r.engine_id, r.level, r.drill, r.person_id
        ORDER BY r.score DESC, r.seconds, r.id) AS place
    FROM practice_runs r JOIN people p ON p.shop_id = r.shop_id AND p.id = r.person_id WHERE r.shop_id = ?) ranked
  WHERE place = 1 ORDER BY score DESC, seconds LIMIT 400`,
      [shopId],
    )
  ).map(run => ({ ...run, at: run.at.toISOString() }))

const MOST_OVER_TIME = 600

/** The latest runs of one person, or of the whole shop, the latest last. */
export const runsOverTime = async (db: Db, shopId: number, personId: number | null): Promise<RunOverTime[]> =>
  (
    await many<Omit<RunOverTime, 'at' | 'slips'> & { at: Date; slips: Slip[] | string | null }>(
      db,
      `
  SELECT r.id, r.engine_id AS engineId, r.level, NULLIF(r.drill, '') AS drill, r.person_id AS personId,
    p.name AS person, r.score, r.seconds, r.slips, r.handed_over_at AS at
  FROM practice_runs r JOIN people p ON p.shop_id = r.shop_id AND p.id = r.person_id
  WHERE r.shop_id = ? AND (? IS NULL OR r.person_id = ?) ORDER BY r.handed_over_at DESC, r.id DESC LIMIT ?`,
      [shopId, personId, personId, MOST_OVER_TIME],
    )
  )
    .map(({ slips, ...run }) => ({
      ...run,
      at: run.at.toISOString(),
      slips: typeof slips === 'string' ? (JSON.parse(slips) as Slip[]) : slips,
    }))
    .reverse()
