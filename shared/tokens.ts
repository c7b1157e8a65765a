import { text } from '../core/text-field'
import { z } from '../core/zod'

export const tokenSchema = z.object({ name: text(60, 'token') })

/** A key by which other software of the shop reads the book. */
export interface ApiTokenRow {
  id: number
  name: string
  madeBy: string
  madeAt: string
  usedAt: string | null
  revokedAt: string | null
}
