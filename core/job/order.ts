import type { JobEvent } from './event'
import { kindOf, type Payload } from './events'

/** An event in working order; `undone` marks the place where something was turned back on the engine itself. */
export interface OrderedEvent {
  event: JobEvent
  undone: boolean
}

/** Whether an event moved the crank or a screw, so that what was felt before it means something else after it. */
export const movesSomething = ({ type, payload }: JobEvent): boolean => kindOf(type).moves?.(payload) ?? false

export interface Order {
  /** All events, as they were given. */
  events: JobEvent[]
  steps: OrderedEvent[]
  /**
   * Events of one device that had not seen another's movement: kept, not folded, until a person says before or after.
   */
  unplaced: JobEvent[]
  retracted: ReadonlyMap<string, JobEvent>
}

/** A page is named “browser.page”: all pages of a browser share its store and its count of answers. */
export const browserOf = (deviceId: string): string => deviceId.split('.')[0]!

/**
 * Whether an answer was known where another was given: the device had it from the shop's log, it came from the same
 * page before, or it was in the browser's own store when the page opened the job (also when it was not sent yet, and
 * whoever had given it).
 */
export const hadSeen = (event: JobEvent, earlier: JobEvent): boolean =>
  (earlier.seq !== null && earlier.seq <= event.seenSeq) ||
  (earlier.deviceSeq < event.deviceSeq &&
    (earlier.deviceId === event.deviceId ||
      (browserOf(earlier.deviceId) === browserOf(event.deviceId) && earlier.deviceSeq <= (event.seenDeviceSeq ?? 0))))

const bySeq = (a: JobEvent, b: JobEvent): number =>
  (a.seq ?? Infinity) - (b.seq ?? Infinity) || a.deviceSeq - b.deviceSeq

/**
 * The log as the work was done: in the shop's order, but no answer before one that it had seen. The two differ where
 * answers of one browser arrive late, as those of a person whose session had ended do. Events that still wait in the
 * browser come last, so that the order is the same before and after they are sent.
 */
export function inWorkingOrder(log: readonly JobEvent[]): JobEvent[] {
  const arrived = [...log].sort(bySeq)
  const ofBrowser = new Map<string, { events: JobEvent[]; from: number }>()
  for (const event of arrived) {
    const own = ofBrowser.get(browserOf(event.deviceId))
    if (own) own.events.push(event)
    else ofBrowser.set(browserOf(event.deviceId), { events: [event], from: 0 })
  }
  for (const own of ofBrowser.values()) own.events.sort((a, b) => a.deviceSeq - b.deviceSeq)
  const ordered: JobEvent[] = []
  const done = new Set<JobEvent>()
  const place = (event: JobEvent): void => {
    if (done.has(event)) return
    done.add(event)
    const own = ofBrowser.get(browserOf(event.deviceId))!
    // all before `from` are placed: where nothing came late there is nothing to look at
    while (own.from < own.events.length && done.has(own.events[own.from]!)) own.from++
    for (let i = own.from; i < own.events.length && own.events[i]!.deviceSeq < event.deviceSeq; i++)
      if (hadSeen(event, own.events[i]!)) place(own.events[i]!)
    ordered.push(event)
  }
  arrived.forEach(place)
  return ordered
}

/**
 * Brings a job's log into working order: retracted facts out, turned-back movements undone where that was said, and
 * another device's answers only once it is known on which side of a movement they belong.
 * @param log in any order
 */
export function workingOrder(log: readonly JobEvent[]): Order {
  const events = inWorkingOrder(log)
  const retracted = new Map<string, JobEvent>()
  for (const e of events) if (e.type === 'retracted') retracted.set(e.payload.eventId, e)
  const placed = new Map<string, Payload<'placed'>['when']>()
  for (const e of events) if (e.type === 'placed' && !retracted.has(e.id)) placed.set(e.payload.eventId, e.payload.when)
  const several = events.some(e => e.deviceId !== events[0]!.deviceId)
  /** Movements of the work so far. */
  const movements: JobEvent[] = []
  const unplaced: JobEvent[] = []
  const steps: OrderedEvent[] = []
  for (const event of events) {
    if (event.type === 'placed') continue
    if (event.type === 'retracted') {
      const target = events.find(e => e.id === event.payload.eventId)
      if (target && event.payload.how === 'turned back') steps.push({ event: target, undone: true })
      continue
    }
    const retraction = retracted.get(event.id)
    if (retraction?.type === 'retracted' && retraction.payload.how === 'recorded wrongly') continue
    const missed = kindOf(event.type).dependsOnPlace ? movements.find(m => !hadSeen(event, m)) : undefined
    const when = placed.get(event.id)
    if (missed && !when) unplaced.push(event)
    else {
      // where the movement itself is set apart, the end is before it
      const before = when === 'before' ? steps.findIndex(s => s.event.id === missed?.id) : -1
      steps.splice(before < 0 ? steps.length : before, 0, { event, undone: false })
    }
    if (several && !retraction && movesSomething(event)) movements.push(event)
  }
  return { events, steps, unplaced, retracted }
}
