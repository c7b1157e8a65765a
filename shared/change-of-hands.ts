import { text } from '../core/text-field'
import { wrong } from '../core/wrong'
import { z } from '../core/zod'

/** Digits that a thumb types: enough against guessing, since tries are counted and soon wait. */
const pin = z
  .string({ error: wrong('wrong.a-pin-has-digits') })
  .regex(/^\d{4,8}$/, { error: wrong('wrong.a-pin-has-digits') })
  // all alike, or one after the other, are the first that anybody tries
  .refine(digits => !/^(\d)\1+$/.test(digits) && !'01234567890123456789'.includes(digits), {
    error: wrong('wrong.this-pin-is-easily-guessed'),
  })
export const ownPinSchema = z.object({ pin: pin.nullable() })
export const pinSignInSchema = z.object({
  personId: z.number().int().positive(),
  pin: z
    .string({ error: wrong('wrong.a-pin-has-digits') })
    .regex(/^\d{4,8}$/, { error: wrong('wrong.a-pin-has-digits') }),
})
export const deviceSchema = z.object({ name: text(60, 'name') })

/** A device on which a lead lets the crew change hands by a PIN. */
export interface TrustedDevice {
  id: number
  name: string
  person: string
  madeAt: string
  usedAt: string | null
}
export interface CrewMember {
  id: number
  name: string
  hasPin: boolean
}
/** The crew of the shop by whose trust a device is here; nobody where it is not trusted. */
export interface CrewResponse {
  people: CrewMember[]
}
