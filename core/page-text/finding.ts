import type { Said } from '../said'
import type { SpecField } from '../spec-book'

/** One figure of a page for one field: what would be filled in, the words it is from, and what is doubtful about it. */
export interface PageFinding {
  field: SpecField
  /** As it would be typed into the field. */
  text: string
  start: number
  end: number
  doubts: Said[]
}
