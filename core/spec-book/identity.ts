import { optionalText, text } from '../text-field'
import { wrong } from '../wrong'
import { z } from '../zod'

const year = z
  .number({ error: wrong('wrong.a-year-has-four-digits') })
  .int({ error: wrong('wrong.a-year-has-four-digits') })
  .min(1900, { error: wrong('wrong.a-year-before-1900-cannot') })
  .max(2100, { error: wrong('wrong.a-year-after-2100-cannot') })
  .nullable()
  .default(null)

/** What a model is called and found by; its figures are in its revisions. */
export const identityParts = z.object({
  key: z
    .string()
    .trim()
    .toLowerCase()
    .regex(/^[a-z0-9][a-z0-9._-]{0,119}$/, {
      error: wrong('wrong.a-key-has-letters-digits'),
    })
    .optional(),
  maker: text(60, 'maker'),
  model: text(60, 'model'),
  code: optionalText(40),
  kind: optionalText(40),
  family: optionalText(40),
  displacementCc: z
    .number({ error: wrong('wrong.displacement-is-a-number-of') })
    .positive({ error: wrong('wrong.displacement-must-be-more-than') })
    .max(9999, { error: wrong('wrong.a-displacement-of-more-than') })
    .nullable()
    .default(null),
  yearFrom: year,
  yearTo: year,
})
/** Whether a model’s first year is not after its last. */
export const yearsInOrder = (m: { yearFrom: number | null; yearTo: number | null }): boolean =>
  m.yearFrom === null || m.yearTo === null || m.yearFrom <= m.yearTo
export const YEARS_WRONG = { path: ['yearTo'], error: wrong('wrong.the-last-year-is-before') }
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
