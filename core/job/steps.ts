/** The steps of a job, in order. */
export const STEPS = ['ready', 'find', 'measure', 'set', 'prove', 'close'] as const
export type Step = (typeof STEPS)[number]

/** What a mechanic confirms by a key: the machine, its spec, and that the cautions of a step were read. */
export const CONFIRMABLE = [
  'machine',
  'spec',
  'valves',
  'safe',
  'live',
  ...STEPS.map(s => `cautions-${s}` as const),
] as const
export type Confirmable = (typeof CONFIRMABLE)[number]
