/** What is to become of a part that was found wrong. */
export const FINDING_ENDS = ['replaced', 'to do', 'not to be had'] as const
export type FindingEnd = (typeof FINDING_ENDS)[number]

/** What became of a complaint, once it ran. */
export const COMPLAINT_RESULTS = ['gone', 'better', 'same'] as const
export type ComplaintResult = (typeof COMPLAINT_RESULTS)[number]
