import type { Said, Text } from '../../said'
import type { SpecField } from '../spec-fields'

/**
 * Something in a spec that may be a slip: both readings are named and a person says which is meant. Nothing is changed.
 */
export interface Doubt {
  /** The same for the same doubt about the same figures: who has answered it once is not asked again. */
  id: string
  field: SpecField
  says: Said
  readings: [Text, Text]
}

/** A figure as it is said in a doubt, without zeros at its end. */
export const plain = (value: number, digits = 4): string => String(Number(value.toFixed(digits)))
