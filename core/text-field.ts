import { wrong } from './wrong'
import { z } from './zod'

/** What a field of a form is for, where it has to be filled in. */
export type FieldName =
  | 'name'
  | 'sign-in name'
  | 'shop'
  | 'time zone'
  | 'owner'
  | 'machine'
  | 'tag'
  | 'letter'
  | 'subject'
  | 'task'
  | 'token'
  | 'maker'
  | 'model'
  | 'reason to change'
  | 'reason to send back'

/** Words that must be there. */
export const text = (most: number, what: FieldName) =>
  z
    .string({ error: wrong('wrong.give-what', { what }) })
    .trim()
    .min(1, { error: wrong('wrong.give-what', { what }) })
    .max(most, { error: wrong('wrong.keep-short', { what, most }) })

/** Words that may be left out. */
export const optionalText = (most: number) =>
  z
    .string()
    .trim()
    .max(most, { error: wrong('wrong.too-long', { most }) })
    .default('')
