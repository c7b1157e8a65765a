import { z } from 'zod'

/** An error on the wire, RFC 9457: a title for a person, details, and the field where there is one. */
export const problemSchema = z.object({
  type: z.string().default('about:blank'),
  title: z.string(),
  status: z.number(),
  detail: z.string().optional(),
  /** Field by field, what is wrong and what to do. */
  fields: z.array(z.object({ field: z.string(), message: z.string() })).optional(),
  /** A short code where a program must tell one refusal from another. */
  code: z.string().optional(),
})
export type ProblemBody = z.infer<typeof problemSchema>
