/** A piece of the day's work: valves, or something else on the same visit. Times in ms since 1970, lengths in minutes. */
export interface Work {
  id: string
  /** Whose it is; null is nobody's yet. */
  person: number | null
  /** Its place in that person's order; smaller is sooner. */
  place: number
  minutes: number
  /** Not before then: the engine is still cooling. */
  earliestMs: number
  /** Not before this one is done: warm-engine work comes after the valves. */
  after: string | null
  /** What it waits for, in words, where it waits. */
  waitsFor: string
}
/** When a piece of work may begin, by whom, and why then. `filling` says that it is nobody's, and somebody would wait otherwise. */
export interface Turn { id: string, person: number | null, n: number, startMs: number, endMs: number, why: string, filling: boolean }

const MINUTE_MS = 60_000
interface Lane { person: number | null, freeMs: number, n: number }

/**
 * An order for the day: each works through what is theirs in their own order, but for what cannot begin yet; whoever would wait takes
 * something that is nobody's. What comes after something else waits for it, whoever does that.
 * @throws Error for work that waits for itself
 * Source: list scheduling (Graham 1969), places as priorities.
 */
export function planDay(works: readonly Work[], people: readonly number[], nowMs: number): Turn[] {
  const left = [...works].sort((a, b) => a.place - b.place || a.earliestMs - b.earliestMs)
  const lanes: Lane[] = [...people, null].map(person => ({ person, freeMs: nowMs, n: 0 }))
  const turns: Turn[] = []
  const endOf = new Map<string, number>()
  const known = new Set(works.map(w => w.id))
  /** The first moment at which a piece can begin; null while what it comes after is not planned. */
  const from = (w: Work): number | null => w.after === null || !known.has(w.after) ? w.earliestMs : endOf.has(w.after) ? Math.max(w.earliestMs, endOf.get(w.after)!) : null
  const take = (lane: Lane, work: Work, filling: boolean): void => {
    const startMs = Math.max(lane.freeMs, from(work)!)
    const waited = startMs > lane.freeMs
    lane.freeMs = startMs + work.minutes * MINUTE_MS
    endOf.set(work.id, lane.freeMs)
    turns.push({ id: work.id, person: lane.person, n: ++lane.n, startMs, endMs: lane.freeMs, filling, why: filling ? 'so that nobody waits' : waited || work.earliestMs > nowMs || work.after !== null ? work.waitsFor : '' })
    left.splice(left.indexOf(work), 1)
  }
  const startable = (w: Work, at: number): boolean => { const f = from(w); return f !== null && f <= at }
  while (left.length) {
    // nobody's own lane comes last, so that whoever is free may have it first
    const lane = lanes.filter(l => left.some(w => w.person === l.person)).sort((a, b) => a.freeMs - b.freeMs || Number(a.person === null) - Number(b.person === null))[0]
    if (!lane) break
    const own = left.filter(w => w.person === lane.person)
    const now = own.find(w => startable(w, lane.freeMs))
    if (now) { take(lane, now, false); continue }
    const spare = lane.person === null ? undefined : left.find(w => w.person === null && startable(w, lane.freeMs))
    if (spare) { take(lane, spare, true); continue }
    const soonest = own.filter(w => from(w) !== null).sort((a, b) => from(a)! - from(b)!)[0]
    if (soonest) { take(lane, soonest, false); continue }
    // all of this lane's waits for another lane's: that one goes first
    const blocker = left.filter(w => from(w) !== null).sort((a, b) => from(a)! - from(b)!)[0]
    if (!blocker) throw new Error('Work waits for itself.')
    take(lanes.find(l => l.person === blocker.person) ?? lane, blocker, false)
  }
  return turns
}
