import { type Blade, engraving, plainBlade, USUAL_SETS } from '~~/core/feeler'
import { say } from '~~/core/said'
import { FigureError, type LengthUnit, parseLength } from '~~/core/units'
import { t } from '../../words'

/**
 * Sizes in one line, by spaces or semicolons: a decimal comma stays a comma, a stroke parts the tip of a stepped blade
 * from its heel. @throws FigureError for what is no size
 */
export function bladesOf(line: string, unit: LengthUnit): Blade[] {
  const parts = line.includes('.') ? line.split(/[\s;,]+/) : line.split(/[\s;]+|,(?=\s)/)
  const size = (text: string) => parseLength(text, unit === 'thou' && /^[.,]\d/.test(text) ? 'in' : unit).mm
  return parts.filter(Boolean).map(part => {
    const [tip, heel, ...more] = part.split('/')
    if (more.length) throw new FigureError(part, say('page-shelf.has-more-than-two-steps'))
    return { ...plainBlade(size(tip!)), stepMm: heel === undefined ? null : size(heel) }
  })
}
/** Blades in the line that `bladesOf` reads. */
export const bladeLine = (blades: readonly Blade[], unit: 'mm' | 'thou'): string =>
  blades.map(b => [b.mm, ...(b.stepMm === null ? [] : [b.stepMm])].map(mm => engraving(mm, unit)).join('/')).join(' ')

/** Sets as they are usually sold, to choose from: by how many blades they have, the first and the last. */
export const usualSetOptions = (): { value: number; label: string }[] =>
  USUAL_SETS.map(({ unit, blades }, value) => ({
    value,
    label: t('quick.usual-set', {
      count: blades.length,
      first: engraving(blades[0]!.mm, unit),
      last: engraving(blades.at(-1)!.mm, unit),
      unit,
    }),
  }))
