import { change, type Db, maybeOne } from '../database/query'

/** What is counted for a subject. `waitS` is how long it must still wait, 0 where it may try. */
export interface Tries {
  tries: number
  waitS: number
}

/** Locks a subject's row until the transaction ends, made where it was not; after a quiet time it begins anew. */
export async function lockTries(db: Db, subject: string, quietMinutes: number): Promise<Tries> {
  await change(
    db,
    // not IGNORE: that takes a shared lock first, and two who hold one wait for each other
    `INSERT INTO sign_in_tries (subject, tries, last_at, free_at) VALUES (?, 0, UTC_TIMESTAMP(3), UTC_TIMESTAMP(3))
     ON DUPLICATE KEY UPDATE subject = VALUES(subject)`,
    [subject],
  )
  const row = await maybeOne<Tries>(
    db,
    `SELECT IF(GREATEST(last_at, free_at) < UTC_TIMESTAMP(3) - INTERVAL ? MINUTE, 0, tries) AS tries,
       GREATEST(0, TIMESTAMPDIFF(MICROSECOND, UTC_TIMESTAMP(3), free_at) / 1e6) AS waitS
     FROM sign_in_tries WHERE subject = ? FOR UPDATE`,
    [quietMinutes, subject],
  )
  return row ?? { tries: 0, waitS: 0 }
}

export const storeTries = (db: Db, subject: string, tries: number, pauseS: number) =>
  change(
    db,
    `UPDATE sign_in_tries SET tries = ?, last_at = UTC_TIMESTAMP(3), free_at = UTC_TIMESTAMP(3) + INTERVAL ? SECOND
     WHERE subject = ?`,
    [tries, pauseS, subject],
  )

/** A try that turned out right is given back. */
export const giveBackTry = (db: Db, subject: string) =>
  change(
    db,
    `UPDATE sign_in_tries SET tries = GREATEST(CAST(tries AS SIGNED) - 1, 0), free_at = UTC_TIMESTAMP(3)
     WHERE subject = ?`,
    [subject],
  )

export const forgetTries = (db: Db, subject: string) =>
  change(db, 'DELETE FROM sign_in_tries WHERE subject = ?', [subject])

export const removeOldTries = (db: Db) =>
  change(db, 'DELETE FROM sign_in_tries WHERE last_at < UTC_TIMESTAMP(3) - INTERVAL 1 DAY')
