import type { z } from 'zod'
import { type Part, partSchema } from '../../../core/access'

/** Parts of the models whose every part is told, written short. */
export type GivenPart = Partial<z.input<typeof partSchema>> & Pick<Part, 'name' | 'kind'>
export const parts = (...given: GivenPart[]): Part[] => given.map(part => partSchema.parse(part))
export const bolts = (count: number, threadMm: number, lengthMm: number, odd = '') => ({
  count,
  threadMm,
  lengthMm,
  odd,
})
