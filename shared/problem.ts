import type { Doubt } from '../core/spec-book'

/** An error on the wire, RFC 9457: a title for a person, details, and the field where there is one. */
export interface ProblemBody {
  type: string
  title: string
  status: number
  detail?: string
  /** Field by field, what is wrong and what to do. */
  fields?: { field: string; message: string }[]
  /** A short code where a program must tell one refusal from another. */
  code?: string
  /** Figures that may be slips, for the code “doubts”: each is answered, or the figure is put right. */
  doubts?: Doubt[]
}
