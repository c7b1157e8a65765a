import type { CustomerRow } from '~~/shared/customers'
import { t } from '../../words'

/** An owner in a list, told from another of the same name: “R. Alder, 555 0103, 2 machines”. */
export const ownerWords = ({ name, contact, machines }: CustomerRow): string =>
  [name, contact, t('owner-words.machines', { machines })].filter(Boolean).join(', ')
