import type { Doubt } from '../core/spec-book'

/**
 * Every refusal by its code, and the status that goes with it: what a program tells them apart by. A new one is added
 * here, and nowhere is a status given by hand.
 */
export const STATUS_OF = {
  'not-readable': 400,
  'sign-in-first': 401,
  'wrong-password': 401,
  'wrong-token': 401,
  'foreign-site': 403,
  'not-allowed': 403,
  'own-draft': 403,
  'shop-closed': 403,
  'not-found': 404,
  'actor': 409,
  'answers-missing': 409,
  'backup-newer': 409,
  'backup-running': 409,
  'changed-meanwhile': 409,
  'closed-already': 409,
  'done-already': 409,
  'duplicate': 409,
  'gone': 409,
  'has-machines': 409,
  'held': 409,
  'id-reused': 409,
  'import-busy': 409,
  'job-closed': 409,
  'last-lead': 409,
  'limit-reached': 409,
  'newer-revision': 409,
  'not-empty': 409,
  'not-closed': 409,
  'nothing-due': 409,
  'nothing-to-retract': 409,
  'open-job': 409,
  'person-ended': 409,
  'retracted-already': 409,
  'runs-server': 409,
  'saved-already': 409,
  'shop-there': 409,
  'unplaced': 409,
  'which-shop': 409,
  'too-much': 413,
  'not-json': 415,
  'backup-broken': 422,
  'backup-password': 422,
  'doubts': 422,
  'meter-higher': 422,
  'meter-lower': 422,
  'reason-missing': 422,
  'unfit': 422,
  'too-many-tries': 429,
  'backup-failed': 500,
  'failed': 500,
  'no-program': 500,
  'busy': 503,
  'cut-off': 503,
  'data-newer': 503,
  'disk-full': 503,
  'half-restored': 503,
  'late': 503,
  'no-database': 503,
  'not-known': 503,
  'starting': 503,
  'upgrade-failed': 503,
} as const
export type ProblemCode = keyof typeof STATUS_OF

/** An error on the wire, RFC 9457: a title for a person, details, and the field where there is one. */
export interface ProblemBody {
  type: string
  title: string
  status: number
  /** Tells one refusal from another. */
  code: ProblemCode
  detail?: string
  /** Field by field, what is wrong and what to do. */
  fields?: { field: string; message: string }[]
  /** Figures that may be slips, for the code “doubts”: each is answered, or the figure is put right. */
  doubts?: Doubt[]
}
