import { z } from '../zod'

/** The wrench that locked a nut, what it was set to, and what was wrong with it. */
const torquedBySchema = z.object({
  wrench: z.string().max(60),
  adapter: z.string().max(60).nullable(),
  settingNm: z.number().positive().max(2000),
  doubts: z.array(z.string().max(200)).max(4),
})

/** What can have happened to the gap just before a blade was tried. */
export const gapChangeSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('screw'), deg: z.number().min(-3600).max(3600) }),
  z.object({ kind: z.literal('nipped') }),
  z.object({
    kind: z.literal('torqued'),
    torqueNm: z.number().positive().max(300).nullable(),
    by: torquedBySchema.optional(),
  }),
])
export type GapChange = z.infer<typeof gapChangeSchema>
