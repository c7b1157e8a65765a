import { ZodError } from 'zod'
import { FigureError } from '../core/units'
import type { ProblemBody } from '../shared/problem'
import { CommitNotKnown, DatabaseBusy, isDiskFull, isLost, isWithoutQuorum } from './database/errors'

/** An expected refusal, in words for a person: what is wrong and what to do. */
export class Problem extends Error {
  override readonly name = 'Problem'
  constructor(
    readonly status: number,
    readonly title: string,
    readonly more: {
      detail?: string
      code?: string
      fields?: ProblemBody['fields']
      doubts?: ProblemBody['doubts']
      /** For the Retry-After header. */
      retryAfterS?: number
    } = {},
  ) {
    super(title)
  }
}

/** A refusal of one field: what is wrong with it and what to do. */
export const unfit = (field: string, message: string): Problem =>
  new Problem(422, message, { fields: [{ field, message }] })
export const notFound = (what: string): Problem => new Problem(404, `There is no such ${what} in this shop.`)

const fieldsOf = (error: ZodError): NonNullable<ProblemBody['fields']> =>
  error.issues.slice(0, 20).map(issue => ({ field: issue.path.join('.') || 'body', message: issue.message }))

type Answer = ProblemBody & { retryAfterS?: number }

/** What the database could not do, in words; null for any other error. */
function databaseProblem(error: unknown): Pick<Answer, 'status' | 'title' | 'code' | 'retryAfterS'> | null {
  const code = (error as { code?: string }).code
  if (error instanceof CommitNotKnown)
    return {
      status: 503,
      code: 'not-known',
      title:
        'The database went away at the last moment. It is not known whether this was saved: look before you repeat it.',
      retryAfterS: 2,
    }
  if (error instanceof DatabaseBusy)
    return { status: 503, title: 'The database is busy. Nothing was changed; try again in a moment.', retryAfterS: 1 }
  if (isWithoutQuorum(error))
    return {
      status: 503,
      title: 'This part of the database is cut off from the others. Nothing was changed; try again in a moment.',
      retryAfterS: 5,
    }
  if (isDiskFull(error))
    return {
      status: 503,
      code: 'disk-full',
      title: 'The disk of the shop’s server is full. Nothing was changed; make room there, then try again.',
      retryAfterS: 30,
    }
  if (isLost(error))
    return {
      status: 503,
      title: 'The database does not answer. Nothing was changed; try again in a moment.',
      retryAfterS: 2,
    }
  if (code === 'ER_DUP_ENTRY')
    return { status: 409, title: 'That is there already. Choose another name, tag or number.', code: 'duplicate' }
  return null
}

/** The one place where an error becomes problem+json. Anything not expected is logged and says only that it failed. */
export function toProblem(error: unknown): Answer {
  const body = (status: number, title: string, more: Partial<Answer> = {}): Answer => ({
    type: 'about:blank',
    title,
    status,
    ...more,
  })
  if (error instanceof Problem) return body(error.status, error.title, error.more)
  if (error instanceof ZodError) {
    const fields = fieldsOf(error)
    return body(422, fields[0]?.message ?? 'Something in it is not right.', { fields })
  }
  if (error instanceof FigureError)
    return body(422, error.message, { fields: [{ field: 'body', message: error.message }] })
  const ofDatabase = databaseProblem(error)
  if (ofDatabase) return { type: 'about:blank', ...ofDatabase }
  console.error(error)
  return body(500, 'Something failed at the shop’s server. Look whether it was saved before you repeat it.')
}
