import type { JobEvent, Payload } from './event'

/** An event in working order; `undone` marks the place where something was turned back on the engine itself. */
export interface OrderedEvent {
  event: JobEvent
  undone: boolean
}

/** Kinds whose meaning depends on where crank and screw stood when they happened. */
const DEPENDS_ON_PLACE: ReadonlySet<JobEvent['type']> = new Set(['crank', 'trial', 'mark-checked', 'nut-loosened'])

/** Whether an event moved the crank or a screw, so that what was felt before it means something else after it. */
export const movesSomething = (event: JobEvent): boolean =>
  event.type === 'prove-turned' ||
  (event.type === 'crank' &&
    event.payload.observations.some(o => o.kind !== 'rocker' && o.kind !== 'seen' && o.kind !== 'blade')) ||
  (event.type === 'trial' && event.payload.after !== null)

export interface Order {
  steps: OrderedEvent[]
  /** Events of one device that had not seen another's movement: kept, not folded, until a person says before or after. */
  unplaced: JobEvent[]
  retracted: ReadonlyMap<string, JobEvent>
}

const bySeq = (a: JobEvent, b: JobEvent): number =>
  (a.seq ?? Infinity) - (b.seq ?? Infinity) || a.deviceSeq - b.deviceSeq

/**
 * Brings a job's log into working order: retracted facts out, turned-back movements undone where that was said,
 * and another device's answers only once it is known on which side of a movement they belong.
 * @param log in any order; server order decides, events still waiting in the browser come last
 */
export function workingOrder(log: JobEvent[]): Order {
  const events = [...log].sort(bySeq)
  const retracted = new Map<string, JobEvent>()
  for (const e of events) if (e.type === 'retracted') retracted.set(e.payload.eventId, e)
  const placed = new Map<string, Payload<'placed'>['when']>()
  for (const e of events) if (e.type === 'placed' && !retracted.has(e.id)) placed.set(e.payload.eventId, e.payload.when)

  const stands = (e: JobEvent) => !retracted.has(e.id)
  const several = events.some(e => e.deviceId !== events[0]!.deviceId)
  const movements = several ? events.filter(e => stands(e) && movesSomething(e)) : []
  const unseenBy = (e: JobEvent): JobEvent | undefined =>
    movements.find(
      m => m.deviceId !== e.deviceId && m.seq !== null && m.seq > e.seenSeq && (e.seq === null || m.seq < e.seq),
    )

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
    const missed = DEPENDS_ON_PLACE.has(event.type) ? unseenBy(event) : undefined
    const when = placed.get(event.id)
    if (missed && !when) unplaced.push(event)
    else if (missed && when === 'before')
      steps.splice(
        steps.findIndex(s => s.event.id === missed.id),
        0,
        { event, undone: false },
      )
    else steps.push({ event, undone: false })
  }
  return { steps, unplaced, retracted }
}
