import type { MachineListRow } from '~~/shared/machines'
import { LOCALE } from '../../language'
import { t } from '../../words'

/** A day as a list has it. */
export const dayWords = (day: string): string =>
  new Date(day).toLocaleDateString(LOCALE, { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' })

/** How the last visit left a machine: its words, and whether all was well. */
export function verdictOf({ verdict }: NonNullable<MachineListRow['lastVisit']>): {
  words: string
  well: boolean | null
} {
  if (!verdict) return { words: t('machine-table.on-paper'), well: null }
  const { in: inSpec, out, unknown } = verdict
  const all = inSpec + out + unknown
  if (out > 0) return { words: t('machine-table.out', { out, all }), well: false }
  if (unknown > 0) return { words: t('machine-table.not-proved', { unknown, all }), well: null }
  return { words: t('machine-table.in-spec'), well: true }
}
