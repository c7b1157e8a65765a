import { t } from '../../../words'

type Named =
  | 'cold'
  | 'hot'
  | 'overhead cam'
  | 'push-rods'
  | 'screw'
  | 'shim'
  | 'none'
  | 'slot'
  | 'square'
  | 'hex socket'
  | 'Torx'
  | 'center screw'
  | 'second nut'
  | 'own grip'

/** Choices that read as they are kept. */
export const same = (...values: string[]) => values.map(value => ({ value, label: value }))
/** Choices with a name of their own in each language. */
export const named = (...values: Named[]) => values.map(value => ({ value, label: t(`spec-value.${value}`) }))
