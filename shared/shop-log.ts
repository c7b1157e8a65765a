import { z } from '../core/zod'

/** What is written down outside of jobs: sign-ins, and whatever changes what the shop or one of its people has. */
export const LOG_KINDS = [
  ...(['signed-in', 'signed-in-by-pin', 'sign-in-refused', 'signed-out-everywhere', 'device-signed-out'] as const),
  ...(['person-added', 'role-changed', 'person-ended', 'person-back', 'code-made', 'code-used'] as const),
  ...(['own-settled', 'own-password', 'own-pin'] as const),
  ...(['device-trusted', 'device-ended', 'token-made', 'token-ended', 'address-made', 'address-ended'] as const),
  ...(['shop-settled', 'shelf-changed', 'owner-changed', 'owner-told', 'owner-erased', 'machine-changed'] as const),
  ...(['model-changed', 'draft-decided', 'book-imported', 'photo-removed', 'log-exported'] as const),
  ...(['backup-made', 'backup-fetched', 'files-fetched'] as const),
  ...(['shop-made', 'shop-limited', 'shop-closed', 'shop-reopened', 'shop-removed'] as const),
] as const
export type LogKind = (typeof LOG_KINDS)[number]

export interface LogRow {
  id: number
  at: string
  person: string
  kind: LogKind
  what: string
}
export interface LogResponse {
  rows: LogRow[]
  /** Where the next page begins; null at its end. */
  before: number | null
}
/** Which lines of the log: what is odd in an address is read as nothing asked. */
export const logQuerySchema = z.object({
  kind: z.enum(LOG_KINDS).optional().catch(undefined),
  person: z.string().trim().max(60).optional().catch(undefined),
  before: z.coerce.number().int().positive().optional().catch(undefined),
})
export type LogQuery = z.output<typeof logQuerySchema>
