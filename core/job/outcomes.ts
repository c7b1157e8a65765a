/** What is to become of a part that was found wrong. */
export const FINDING_ENDS = ['replaced', 'to do', 'not to be had'] as const
export type FindingEnd = (typeof FINDING_ENDS)[number]

/** What became of a complaint, once it ran. */
export const COMPLAINT_RESULTS = ['gone', 'better', 'same'] as const
export type ComplaintResult = (typeof COMPLAINT_RESULTS)[number]

/** What became of a plug’s gap. */
export const PLUG_ENDS = ['right', 'set', 'new'] as const
export type PlugEnd = (typeof PLUG_ENDS)[number]
export interface PlugGap {
  was: PlugEnd
  foundMm: number | null
  leftMm: number | null
}
/** When a plug was last new: the day, and the meter where it was read. */
export interface PlugNew {
  date: string
  use: number | null
}
