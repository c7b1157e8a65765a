import { z } from '../zod'

export const VALVE_SIGHTS = ['starts to open', 'fully open', 'just closed', 'open'] as const
export type ValveSight = (typeof VALVE_SIGHTS)[number]

const id = z.string().min(1).max(30)
/**
 * How a place of the crank is recognised.
 * - `mark` a line on flywheel or rotor at the pointer; `piston-top` by rod; `rod-drop` so far past top by rod: alike on
 *   both strokes
 * - `cam-mark` a sign on cam or sprocket; `valve` what one valve is seen doing: once a cycle, so they tell the stroke
 */
export const placeSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('mark'), markIndex: z.number().int().min(0).max(11) }),
  z.object({ kind: z.literal('piston-top'), cylinderId: id }),
  z.object({ kind: z.literal('rod-drop'), cylinderId: id, dropMm: z.number().positive().max(60) }),
  z.object({ kind: z.literal('cam-mark'), camMarkIndex: z.number().int().min(0).max(5) }),
  z.object({ kind: z.literal('valve'), valveId: id, sight: z.enum(VALVE_SIGHTS) }),
])
export type Place = z.infer<typeof placeSchema>
