import { ZodError } from 'zod'
import { FigureError } from '../core/units'
import { STATUS_OF, type ProblemBody, type ProblemCode } from '../shared/problem'
import { CommitNotKnown, DatabaseBusy, isDiskFull, isDuplicate, isLost, isWithoutQuorum } from './database/errors'

/** What a refusal says beside its code and its title. */
interface More {
  detail?: string
  fields?: ProblemBody['fields']
  doubts?: ProblemBody['doubts']
  /** For the Retry-After header. */
  retryAfterS?: number
}

/** An expected refusal, in words for a person: what is wrong and what to do. */
export class Problem extends Error {
  override readonly name = 'Problem'
  readonly status: number
  constructor(
    readonly code: ProblemCode,
    readonly title: string,
    readonly more: More = {},
  ) {
    super(title)
    this.status = STATUS_OF[code]
  }
}

/** A refusal of one field: what is wrong with it and what to do. */
export const unfit = (field: string, message: string): Problem =>
  new Problem('unfit', message, { fields: [{ field, message }] })
export const notFound = (what: string): Problem => new Problem('not-found', `There is no such ${what} in this shop.`)

const fieldsOf = (error: ZodError): NonNullable<ProblemBody['fields']> =>
  error.issues.slice(0, 20).map(issue => ({ field: issue.path.join('.') || 'body', message: issue.message }))

/** What the database could not do, in words; null for any other error. */
function databaseProblem(error: unknown): Problem | null {
  if (error instanceof CommitNotKnown)
    return new Problem(
      'not-known',
      'The database went away at the last moment. It is not known whether this was saved: look before you repeat it.',
      { retryAfterS: 2 },
    )
  if (error instanceof DatabaseBusy)
    return new Problem('busy', 'The database is busy. Nothing was changed; try again in a moment.', { retryAfterS: 1 })
  if (isWithoutQuorum(error))
    return new Problem(
      'cut-off',
      'This part of the database is cut off from the others. Nothing was changed; try again in a moment.',
      { retryAfterS: 5 },
    )
  if (isDiskFull(error))
    return new Problem(
      'disk-full',
      'The disk of the shop’s server is full. Nothing was changed; make room there, then try again.',
      { retryAfterS: 30 },
    )
  if (isLost(error))
    return new Problem('no-database', 'The database does not answer. Nothing was changed; try again in a moment.', {
      retryAfterS: 2,
    })
  if (isDuplicate(error)) return new Problem('duplicate', 'That is there already. Choose another name, tag or number.')
  return null
}

function refusalOf(error: unknown): Problem {
  if (error instanceof Problem) return error
  if (error instanceof ZodError) {
    const fields = fieldsOf(error)
    return new Problem('unfit', fields[0]?.message ?? 'Something in it is not right.', { fields })
  }
  if (error instanceof FigureError) return unfit('body', error.message)
  const ofDatabase = databaseProblem(error)
  if (ofDatabase) return ofDatabase
  console.error(error)
  return new Problem('failed', 'Something failed at the shop’s server. Look whether it was saved before you repeat it.')
}

/** The one place where an error becomes problem+json. Anything not expected is logged and says only that it failed. */
export function toProblem(error: unknown): ProblemBody & { retryAfterS?: number } {
  const { code, title, status, more } = refusalOf(error)
  return { type: 'about:blank', title, status, code, ...more }
}
