import { change, type Db, maybeOne } from '../database/query'

/** Failures of a subject (a name, an address) within the window, and counts one more. */
export const failuresOf = async (db: Db, subject: string, windowMinutes: number): Promise<number> =>
  (
    await maybeOne<{ failures: number }>(
      db,
      'SELECT failures FROM sign_in_attempts WHERE subject = ? AND window_from > UTC_TIMESTAMP(3) - INTERVAL ? MINUTE',
      [subject, windowMinutes],
    )
  )?.failures ?? 0

export const countFailure = (db: Db, subject: string, windowMinutes: number) =>
  change(
    db,
    `
  INSERT INTO sign_in_attempts (subject, failures, window_from) VALUES (?, 1, UTC_TIMESTAMP(3))
  ON DUPLICATE KEY UPDATE
    failures = IF(window_from > UTC_TIMESTAMP(3) - INTERVAL ? MINUTE, failures + 1, 1),
    window_from = IF(window_from > UTC_TIMESTAMP(3) - INTERVAL ? MINUTE, window_from, UTC_TIMESTAMP(3))`,
    [subject, windowMinutes, windowMinutes],
  )

export const forgetFailures = (db: Db, subject: string) =>
  change(db, 'DELETE FROM sign_in_attempts WHERE subject = ?', [subject])
