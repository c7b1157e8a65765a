import { ZodError } from 'zod'
import { FigureError } from '../../core/units'
import type { ProblemBody } from '../../shared/problem'

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
    } = {},
  ) {
    super(title)
  }
}

export const notFound = (what: string): Problem => new Problem(404, `There is no such ${what} in this shop.`)

const fieldsOf = (error: ZodError): NonNullable<ProblemBody['fields']> =>
  error.issues.slice(0, 20).map(issue => ({ field: issue.path.join('.') || 'body', message: issue.message }))

/** The one place where an error becomes problem+json. Anything not expected is logged and says only that it failed. */
export function toProblem(error: unknown): ProblemBody {
  const body = (status: number, title: string, more: Partial<ProblemBody> = {}): ProblemBody => ({
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
  if (error instanceof FigureError) return body(422, error.message)
  const code = (error as { code?: string }).code
  if (code === 'ER_DUP_ENTRY')
    return body(409, 'That is there already. Choose another name, tag or number.', { code: 'duplicate' })
  if (['ECONNREFUSED', 'PROTOCOL_CONNECTION_LOST', 'ER_SERVER_SHUTDOWN'].includes(code ?? ''))
    return body(503, 'The database does not answer. Nothing was changed; try again in a moment.')
  console.error(error)
  return body(500, 'Something failed at the shop’s server. Nothing was changed; try again.')
}
