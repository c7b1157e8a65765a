import { text } from '../core/text-field'
import { wrong } from '../core/wrong'
import { z } from '../core/zod'
import { type OneTimeCode, signInName } from './people'
import { setupSchema } from './shop'

/** A shop as whoever runs the server sees it: how much there is of it, and nothing of what it has written down. */
export interface ShopHere {
  id: number
  name: string
  shortName: string | null
  /** A host that is this shop's own. */
  host: string | null
  since: string
  people: number
  mostPeople: number | null
  photoMb: number
  mostPhotoMb: number | null
  jobs: number
  lastJobAt: string | null
  closedAt: string | null
  /** When its records go, once it is closed. */
  goesAt: string | null
  /** The shop of whoever asks: it is not closed by them. */
  own: boolean
}
/** A shop that was made, or whose lead lost their password: how a lead of it signs in. */
export interface WayIn extends OneTimeCode {
  id: number
  shop: string | null
  signIn: string
}

/** Empty: none. */
const orNone = (schema: z.ZodType<string>) => z.union([z.literal('').transform(() => null), schema]).nullable()
const shortName = z
  .string()
  .trim()
  .toLowerCase()
  .regex(/^[a-z0-9][a-z0-9-]{0,38}[a-z0-9]$/, { error: wrong('wrong.a-short-name-has') })
const host = z
  .string()
  .trim()
  .toLowerCase()
  .max(253)
  .regex(/^[a-z0-9]([a-z0-9-]*[a-z0-9])?(\.[a-z0-9]([a-z0-9-]*[a-z0-9])?)*$/, { error: wrong('wrong.a-host-is') })
const most = (greatest: number) =>
  z
    .int({ error: wrong('wrong.a-limit-is') })
    .min(1, wrong('wrong.a-limit-is'))
    .max(greatest, wrong('wrong.a-limit-is'))
    .nullable()

export const newShopSchema = z.object({
  ...setupSchema.pick({ shop: true, timeZone: true, unit: true }).shape,
  shortName,
  lead: z.object({ name: text(60, 'name'), signIn: signInName }),
})
export type NewShop = z.output<typeof newShopSchema>
export const shopLimitsSchema = z.object({
  shortName: orNone(shortName),
  host: orNone(host),
  mostPeople: most(10_000),
  mostPhotoMb: most(10_000_000),
})
export type ShopLimitsRequest = z.output<typeof shopLimitsSchema>

/** A shop that is closed may be taken back for so long, days. */
export const GRACE_DAYS = 30
