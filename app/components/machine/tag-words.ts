import type { MachineRow } from '~~/shared/machines'
import { t } from '../../words'

/** What a tag's code holds: the shop's own address with the tag behind it. */
export const tagAddress = (tag: string): string => `${location.origin}/t/${encodeURIComponent(tag)}`
/** The lines beside the code: whose it is, and its number or plate. */
export const tagLines = ({ name, owner, serial, plate }: MachineRow): string[] =>
  [name, owner, plate ? t('tag-words.plate', { plate }) : serial ? `no. ${serial}` : ''].filter(Boolean)
