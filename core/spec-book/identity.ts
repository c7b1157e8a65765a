import { z } from 'zod'

const text = (most: number, what: string) =>
  z
    .string({ error: `Give ${what}.` })
    .trim()
    .min(1, { error: `Give ${what}.` })
    .max(most, { error: `Keep ${what} under ${most} characters.` })
const optional = (most: number) =>
  z
    .string()
    .trim()
    .max(most, { error: `Keep it under ${most} characters.` })
    .default('')
const year = z
  .number({ error: 'A year has four digits.' })
  .int({ error: 'A year has four digits.' })
  .min(1900, { error: 'A year before 1900 cannot be right.' })
  .max(2100, { error: 'A year after 2100 cannot be right.' })
  .nullable()
  .default(null)

/** What a model is called and found by; its figures are in its revisions. */
export const identityParts = z.object({
  key: z
    .string()
    .trim()
    .toLowerCase()
    .regex(/^[a-z0-9][a-z0-9._-]{0,119}$/, {
      error: 'A key has letters, digits, dots and dashes, such as sandlark-245.',
    })
    .optional(),
  maker: text(60, 'the maker'),
  model: text(60, 'the model'),
  code: optional(40),
  kind: optional(40),
  family: optional(40),
  displacementCc: z
    .number({ error: 'Displacement is a number of cm³.' })
    .positive({ error: 'Displacement must be more than zero.' })
    .max(9999, { error: 'A displacement of more than 9,999 cm³ cannot be right.' })
    .nullable()
    .default(null),
  yearFrom: year,
  yearTo: year,
})
export const yearsInOrder = (m: { yearFrom: number | null; yearTo: number | null }): boolean =>
  m.yearFrom === null || m.yearTo === null || m.yearFrom <= m.yearTo
export const YEARS_WRONG = { path: ['yearTo'], error: 'The last year is before the first: look at both.' }
export const identitySchema = identityParts.refine(yearsInOrder, YEARS_WRONG)
export type Identity = z.infer<typeof identitySchema>

/** A name for files and other software, made from what the model is called. */
export const keyOf = ({ maker, model, code }: Pick<Identity, 'maker' | 'model' | 'code'>): string =>
  [maker, model, code]
    .join(' ')
    .normalize('NFKD')
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-|-$/g, '')
    .slice(0, 120) || 'model'
