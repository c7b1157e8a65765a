import { MINUTE_MS } from '../units'
/**
 * A piece of the day's work: valves, or something else on the same visit. Times in ms since 1970, lengths in minutes.
 */
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
/**
 * When a piece of work may begin, by whom, and why then. `filling` says that it is nobody's, and somebody would wait
 * otherwise.
 */
export interface Turn {
  id: string
  person: number | null
  n: number
  startMs: number
  endMs: number
  why: string
  filling: boolean
}

interface Lane {
  person: number | null
  freeMs: number
  n: number
}

/**
 * An order for the day: each works through what is theirs in their own order, but for what cannot begin yet; whoever
 * would wait takes something that is nobody's. What comes after something else waits for it, whoever does that.
 * @throws Error for work that waits for itself Source: list scheduling (Graham 1969), places as priorities.
 */
export function planDay(works: readonly Work[], people: readonly number[], nowMs: number): Turn[] {
  const left = [...works].sort((a, b) => a.place - b.place || a.earliestMs - b.earliestMs)
  const lanes: Lane[] = (people.length ? people : [null]).map(person => ({ person, freeMs: nowMs, n: 0 }))
  const turns: Turn[] = []
  const endOf = new Map<string, number>()
  const known = new Set(works.map(w => w.id))
  /** The first moment at which a piece can begin; null while what it comes after is not planned. */
  const from = (w: Work): number | null =>
    w.after === null || !known.has(w.after)
      ? w.earliestMs
      : endOf.has(w.after)
        ? Math.max(w.earliestMs, endOf.get(w.after)!)
        : null
  const take = (lane: Lane, work: Work, filling: boolean): void => {
    const startMs = Math.max(lane.freeMs, from(work)!)
    const waited = startMs > lane.freeMs
    lane.freeMs = startMs + work.minutes * MINUTE_MS
    endOf.set(work.id, lane.freeMs)
    turns.push({
      id: work.id,
      person: lane.person,
      n: ++lane.n,
      startMs,
      endMs: lane.freeMs,
      filling,
      why: !filling && (waited || work.earliestMs > nowMs || work.after !== null) ? work.waitsFor : '',
    })
    left.splice(left.indexOf(work), 1)
  }
  const startable = (w: Work, at: number): boolean => {
    const f = from(w)
    return f !== null && f <= at
  }
  const soonest = (some: readonly Work[]): Work | undefined =>
    some.filter(w => from(w) !== null).sort((a, b) => from(a)! - from(b)!)[0]
  while (left.length) {
    const may = (l: Lane) =>
      left.filter(w => w.person === l.person || w.person === null || !lanes.some(o => o.person === w.person))
    const lane = lanes.filter(l => soonest(may(l))).sort((a, b) => a.freeMs - b.freeMs)[0]
    if (!lane) throw new Error('Work waits for itself.')
    const own = left.filter(w => w.person === lane.person)
    const next =
      own.find(w => startable(w, lane.freeMs)) ?? may(lane).find(w => startable(w, lane.freeMs)) ?? soonest(may(lane))!
    take(lane, next, next.person !== lane.person)
  }
  return turns
}
