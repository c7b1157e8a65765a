import { createHash } from 'node:crypto'
import type { Connection, RowDataPacket } from 'mysql2/promise'

/** What MariaDB says where a table, column or key is there, or gone, already. */
const DONE_ALREADY = new Set([
  'ER_TABLE_EXISTS_ERROR',
  'ER_DUP_FIELDNAME',
  'ER_DUP_KEYNAME',
  'ER_CANT_DROP_FIELD_OR_KEY',
  'ER_FK_DUP_NAME',
  'ER_DUP_CONSTRAINT_NAME',
  'ER_BAD_TABLE_ERROR',
])
const code = (error: unknown): string => (error as { code?: string }).code ?? ''
const isChangeOfRows = (statement: string): boolean => /^(INSERT|UPDATE|DELETE|REPLACE)\b/i.test(statement)

/** The statements of a migration. Each ends with a semicolon at the end of a line. */
export const statementsOf = (script: string): string[] =>
  script
    .split(/;[ \t]*$/m)
    .map(s =>
      s
        .split('\n')
        .filter(line => !line.trimStart().startsWith('--'))
        .join('\n')
        .trim(),
    )
    .filter(Boolean)

/**
 * Runs a migration statement by statement and writes down how far it came, so that one that stops half-way goes on
 * where it stopped. A change of rows is committed together with that note. A change of tables commits by itself: where
 * it was begun and not noted as done, it is run again, and “there already” then means done.
 * @param between called after each statement and before it is noted; a test stops there
 */
export async function runSteps(
  connection: Connection,
  script: string,
  between: (step: number, statement: string) => void = () => {},
): Promise<void> {
  const digest = createHash('sha256').update(script).digest('hex')
  await connection.query(
    `CREATE TABLE IF NOT EXISTS migration_steps (script CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      step SMALLINT NOT NULL, done BOOLEAN NOT NULL, PRIMARY KEY (script, step)) ENGINE = InnoDB`,
  )
  const [rows] = await connection.query<RowDataPacket[]>('SELECT step, done FROM migration_steps WHERE script = ?', [
    digest,
  ])
  const known = new Map(rows.map(r => [r.step as number, Boolean(r.done)]))
  const note = (step: number, done: boolean) =>
    connection.query('REPLACE INTO migration_steps (script, step, done) VALUES (?, ?, ?)', [digest, step, done])
  for (const [step, statement] of statementsOf(script).entries()) {
    if (known.get(step)) continue
    if (isChangeOfRows(statement)) {
      await connection.beginTransaction()
      await connection.query(statement)
      between(step, statement)
      await note(step, true)
      await connection.commit()
      continue
    }
    await note(step, false)
    try {
      await connection.query(statement)
    } catch (error) {
      if (!known.has(step) || !DONE_ALREADY.has(code(error))) throw error
    }
    between(step, statement)
    await note(step, true)
  }
}
