/** What a machine comes for. `due` is none: it comes by the calendar. */
export const COMPLAINTS = [
  'due',
  'hard to start cold',
  'hard to start hot',
  'kicks back',
  'ticks cold',
  'ticks hot',
  'loses power high up',
  'pops on the overrun',
  'stalls',
  'burns oil',
] as const
export type Complaint = (typeof COMPLAINTS)[number]

/** What a complaint makes likelier of the valves. */
export const LIKELIHOODS = ['tight', 'loose', 'decompressor'] as const
export type Likelier = (typeof LIKELIHOODS)[number]

/**
 * What each complaint points to, common practice: a valve that does not close leaks compression, most of all hot; a
 * loose one is heard; one that is far too loose no longer reaches its decompressor, and the starter kicks back.
 */
const POINTS_TO: Record<Complaint, readonly Likelier[]> = {
  'due': [],
  'hard to start cold': ['tight', 'decompressor'],
  'hard to start hot': ['tight'],
  'kicks back': ['loose', 'decompressor'],
  'ticks cold': ['loose'],
  'ticks hot': ['loose'],
  'loses power high up': ['tight'],
  'pops on the overrun': ['tight'],
  'stalls': ['tight'],
  'burns oil': [],
}
/** What a complaint makes likelier; nothing where it says nothing of the valves. */
export const pointsTo = (complaint: Complaint): readonly Likelier[] => POINTS_TO[complaint]

/** How much likelier it gets, at most: a complaint is a hint, never a reading. From memory. */
const LIKELIER_BY = 3

/** What several complaints together make likelier: how many times, 1 where they say nothing, or opposite things. */
export function likelierBy(complaints: readonly Complaint[]): Record<Likelier, number> {
  const says = new Set(complaints.flatMap(c => POINTS_TO[c]))
  const both = says.has('tight') && says.has('loose')
  return {
    tight: says.has('tight') && !both ? LIKELIER_BY : 1,
    loose: says.has('loose') && !both ? LIKELIER_BY : 1,
    decompressor: says.has('decompressor') ? LIKELIER_BY : 1,
  }
}

/** What else a complaint may be where right valves did not cure it, the likeliest first. Common practice. */
export const SUSPECTS = [
  'fuel and air',
  'ignition',
  'compression',
  'decompressor',
  'cam chain',
  'exhaust leak',
  'rings and guides',
] as const
export type Suspect = (typeof SUSPECTS)[number]
const ELSE: Record<Complaint, readonly Suspect[]> = {
  'due': [],
  'hard to start cold': ['fuel and air', 'ignition', 'compression'],
  'hard to start hot': ['ignition', 'fuel and air', 'compression'],
  'kicks back': ['ignition', 'decompressor'],
  'ticks cold': ['exhaust leak', 'cam chain'],
  'ticks hot': ['cam chain', 'exhaust leak'],
  'loses power high up': ['fuel and air', 'exhaust leak', 'compression'],
  'pops on the overrun': ['exhaust leak', 'fuel and air'],
  'stalls': ['fuel and air', 'ignition'],
  'burns oil': ['rings and guides', 'compression'],
}
/** Other suspects for a complaint that stayed. */
export const elseFor = (complaint: Complaint): readonly Suspect[] => ELSE[complaint]
