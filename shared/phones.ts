import { wrong } from '../core/wrong'
import { z } from '../core/zod'

/** A device on which somebody is signed in. */
export interface SignedInDevice {
  /** Says which it is, and opens nothing. */
  id: string
  name: string
  person: string
  since: string
  seenAt: string | null
  /** The one that asks. */
  here: boolean
}
export interface PhonesResponse {
  /** Addresses that phones of the house open; null where the server is open to its own computer alone. */
  app: string[] | null
  /** Where a phone learns how to trust it. */
  trust: string | null
  /** For a lead. */
  devices: SignedInDevice[]
}
export const deviceNameSchema = z.object({
  name: z.string().trim().min(1, wrong('wrong.missing')).max(60),
})
