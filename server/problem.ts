import { say, type Text } from '../core/said'
import { FigureError } from '../core/units'
import { heard } from '../core/wrong'
import { z } from '../core/zod'
import { type ProblemBody, type ProblemCode, STATUS_OF } from '../shared/problem'
import { tellEnglish } from '../words'
import type { ShopThing } from '../words/en/refusals'
import { CommitNotKnown, DatabaseBusy, isDiskFull, isDuplicate, isLost, isWithoutQuorum } from './database/errors'
import { tellFailure } from './telling/log'
import { tell } from './words'

/** What a refusal says beside its code and its title. */
interface More {
  detail?: string
  fields?: { field: string; message: Text }[]
  doubts?: ProblemBody['doubts']
  /** For the Retry-After header. */
  retryAfterS?: number
}

/** An expected refusal: what is wrong and what to do, told to whoever asked when it is sent. */
export class Problem extends Error {
  override readonly name = 'Problem'
  readonly status: number
  constructor(
    readonly code: ProblemCode,
    readonly title: Text,
    readonly more: More = {},
  ) {
    super(tellEnglish(title))
    this.status = STATUS_OF[code]
  }
}

/** A refusal of one field: what is wrong with it and what to do. */
export const unfit = (field: string, message: Text): Problem =>
  new Problem('unfit', message, { fields: [{ field, message }] })
export const notFound = (what: ShopThing): Problem => new Problem('not-found', say('refused.no-such', { what }))

const fieldsOf = (error: z.ZodError): NonNullable<More['fields']> =>
  error.issues.slice(0, 20).map(issue => ({ field: issue.path.join('.') || 'body', message: heard(issue.message) }))

/** What the database could not do, in words; null for any other error. */
function databaseProblem(error: unknown): Problem | null {
  if (error instanceof CommitNotKnown)
    return new Problem('not-known', say('refused.the-database-went-away-at'), { retryAfterS: 2 })
  if (error instanceof DatabaseBusy)
    return new Problem('busy', say('refused.the-database-is-busy-nothing'), { retryAfterS: 1 })
  if (isWithoutQuorum(error))
    return new Problem('cut-off', say('refused.this-part-of-the-database'), { retryAfterS: 5 })
  if (isDiskFull(error)) return new Problem('disk-full', say('refused.the-disk-of-the-shops'), { retryAfterS: 30 })
  if (isLost(error))
    return new Problem('no-database', say('refused.the-database-does-not-answer'), {
      retryAfterS: 2,
    })
  if (isDuplicate(error)) return new Problem('duplicate', say('refused.that-is-there-already-choose'))
  return null
}

function refusalOf(error: unknown, requestId?: string): Problem {
  if (error instanceof Problem) return error
  if (error instanceof z.ZodError) {
    const fields = fieldsOf(error)
    return new Problem('unfit', fields[0]?.message ?? say('refused.not-right'), { fields })
  }
  if (error instanceof FigureError) return unfit('body', heard(error.message))
  const ofDatabase = databaseProblem(error)
  if (ofDatabase) return ofDatabase
  tellFailure(error, { id: requestId })
  return new Problem('failed', say('refused.something-failed-at-the-shops'), requestId ? { detail: requestId } : {})
}

/** The one place where an error becomes problem+json. Anything not expected is logged and says only that it failed. */
export function toProblem(error: unknown, requestId?: string): ProblemBody & { retryAfterS?: number } {
  const { code, title, status, more } = refusalOf(error, requestId)
  const { fields, ...rest } = more
  return {
    type: 'about:blank',
    title: tell(title),
    status,
    code,
    ...rest,
    ...(fields ? { fields: fields.map(({ field, message }) => ({ field, message: tell(message) })) } : {}),
  }
}
