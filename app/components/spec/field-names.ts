import type { SpecField } from '~~/core/spec-book'
import { t } from '../../words'

/** What the fields are called that a page can fill in. */
const NAMES: Partial<Record<SpecField, () => string>> = {
  intake: () => t('common.intake'),
  exhaust: () => t('common.exhaust'),
  intakeAlso: () => t('spec-fields.intake-in-the-pages-other'),
  exhaustAlso: () => t('spec-fields.exhaust-in-the-pages-other'),
  coldLimit: () => t('spec-fields.cold-means-under-c'),
  bore: () => t('spec-fields.bore-mm'),
  stroke: () => t('spec-fields.stroke-mm'),
  locknut: () => t('spec-fields.locknut-n-m'),
  cover: () => t('spec-fields.cover-n-m'),
  plug: () => t('spec-fields.plug-n-m'),
  plugGap: () => t('common.plug-gap'),
  plugUse: () => t('spec-fields.plug-use'),
  plugMonths: () => t('spec-fields.plug-months'),
  use: () => t('spec-fields.check-every-on-the-meter'),
  firstUse: () => t('spec-fields.first-check-at-on-the'),
  months: () => t('spec-fields.and-every-months'),
  marks: () => t('spec-fields.marks-letter-and-degrees'),
  markWindow: () => t('spec-fields.where-they-show'),
  direction: () => t('spec-fields.turns'),
  measuredAt: () => t('spec-fields.where-does-the-source-measure'),
}
export const fieldName = (field: SpecField): string => NAMES[field]?.() ?? field

/** What a figure reads as: a choice by its name, all else as it would be typed. */
export const fieldSays = (field: SpecField, text: string): string =>
  field === 'direction'
    ? text === 'clockwise'
      ? t('runs.clockwise')
      : t('runs.anticlockwise')
    : field === 'measuredAt'
      ? t('spec-fields.at-the-t-line')
      : text
