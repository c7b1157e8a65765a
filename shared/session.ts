import type { TargetSchool } from '../core/feeler'
import type { BladeHabit, Hands } from '../core/job'
import type { School } from '../core/stops'
import { text } from '../core/text-field'
import { wrong } from '../core/wrong'
import { z } from '../core/zod'
import type { Language } from './languages'
import { newPassword, type PersonRole } from './people'

/** The shop that somebody signs in to, where more than one is on the server: its short name, or its name. */
const shopAtTheDoor = z.string().trim().max(80).optional()
export const signInSchema = z.object({
  signIn: text(60, 'sign-in name'),
  shop: shopAtTheDoor,
  password: z
    .string()
    .min(1, { error: wrong('wrong.give-the-password') })
    .max(200),
})

/** A lead's one-time code, typed with or without its dash, and the password that is chosen with it. */
export const codeSchema = z.object({
  ...signInSchema.pick({ signIn: true, shop: true }).shape,
  code: z
    .string()
    .trim()
    .toUpperCase()
    .transform(code => code.replaceAll(/[\s-]/g, ''))
    .pipe(z.string().regex(/^[A-Z0-9]{8}$/, { error: wrong('wrong.a-code-has-eight') })),
  next: newPassword,
})

export interface SessionResponse {
  person: {
    id: number
    name: string
    role: PersonRole
    favouriteSetId: number | null
    language: Language | null
    hands: Hands
    /** The unit that stands first for this person; null as the shop has it. */
    unit: 'mm' | 'thou' | null
    /** Came in by a PIN on a trusted device: as anybody of the crew. */
    byPin: boolean
    /** Runs the server: makes and closes shops, and sees to the backups of all. */
    runsServer: boolean
  }
  shop: {
    id: number
    name: string
    timeZone: string
    unit: 'mm' | 'thou'
    /** That owners are written in of whom nobody has said; null for that of whoever writes. */
    language: Language | null
    favouriteSchool: School | null
    target: TargetSchool
    bladeHabit: BladeHabit
    pairToProve: boolean
    valveMinutes: number
    taskMinutes: number
    isDemo: boolean
  }
  now: string
}
