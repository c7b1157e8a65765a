/**
 * The database gave up on a piece of work that may be asked for again: deadlocks, locks that did not come, a cluster
 * node without its others. Nothing was changed.
 */
export class DatabaseBusy extends Error {
  override readonly name = 'DatabaseBusy'
  constructor(cause: unknown) {
    super(`The database was busy: ${(cause as Error).message}`, { cause })
  }
}

/** The connection broke while a commit was under way: it may have been made, or not. */
export class CommitNotKnown extends Error {
  override readonly name = 'CommitNotKnown'
  constructor(cause: unknown) {
    super(`The connection broke at a commit: ${(cause as Error).message}`, { cause })
  }
}

/** A statement that the database refused. It goes by the driver's code; the values are not in it. */
export class StatementFailed extends Error {
  override readonly name = 'StatementFailed'
  readonly code: string | undefined
  readonly errno: number | undefined
  constructor(
    /** What it was to do: its first words, “INSERT INTO machine”. */
    readonly statement: string,
    cause: unknown,
  ) {
    const { message, code, errno } = cause as { message: string; code?: string; errno?: number }
    super(`${statement}: ${message}`, { cause })
    this.code = code
    this.errno = errno
  }
}

/** A statement gave another number of rows than it can by the keys of its tables. */
export class WrongRowCount extends Error {
  override readonly name = 'WrongRowCount'
  constructor(
    readonly statement: string,
    readonly rows: number,
  ) {
    super(`${statement}: one row was expected, ${rows || 'none'} came.`)
  }
}

const codeOf = (error: unknown): string => (error as { code?: string }).code ?? ''

/** Told by the server that the work was undone and may be done again. A cluster says so at the commit. */
const REPEATABLE = new Set(['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_CHECKREAD'])
export const isRepeatable = (error: unknown): boolean => REPEATABLE.has(codeOf(error))

/** Nobody is there, or went away. */
const LOST = new Set([
  'PROTOCOL_CONNECTION_LOST',
  'PROTOCOL_SEQUENCE_TIMEOUT',
  'ER_SERVER_SHUTDOWN',
  'ER_CONNECTION_KILLED',
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
])
const isClosed = (error: unknown): boolean =>
  error instanceof Error && /closed state|Connection is closed|Pool is closed/i.test(error.message)
export const isLost = (error: unknown): boolean => LOST.has(codeOf(error)) || isClosed(error)

/** The database itself says that a commit went wrong (error 1180): a node that is cut off at that moment does. */
export const isFailedCommit = (error: unknown): boolean =>
  (error as { errno?: number }).errno === 1180 || codeOf(error) === 'ER_ERROR_DURING_COMMIT'

/** A cluster node that is cut off from most others answers no query (error 1047, “WSREP has not yet prepared node”). */
export const isWithoutQuorum = (error: unknown): boolean =>
  (error as { errno?: number }).errno === 1047 || codeOf(error) === 'ER_UNKNOWN_COM_ERROR'

/** There is no room to write. */
export const isDiskFull = (error: unknown): boolean =>
  ['ER_DISK_FULL', 'ER_RECORD_FILE_FULL', 'ER_ERROR_ON_WRITE', 'ER_TEMP_FILE_WRITE_FAILURE', 'ENOSPC'].includes(
    codeOf(error),
  ) || /No space left|table .* is full/i.test((error as Error).message ?? '')

/** A row with the same key is there already. */
export const isDuplicate = (error: unknown): boolean => codeOf(error) === 'ER_DUP_ENTRY'

/** A row with this key is there already. @param key the name of the index */
export const isDuplicateOf = (error: unknown, key: string): boolean =>
  isDuplicate(error) && ((error as Error).message ?? '').includes(key)
