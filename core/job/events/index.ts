import type { z } from 'zod'
import { abandoned } from './abandoned'
import { aimOffChosen } from './aim-off-chosen'
import { bladeHabitChosen } from './blade-habit-chosen'
import { bladesTaken } from './blades-taken'
import { camBack } from './cam-back'
import { cameOff } from './came-off'
import { cameOut } from './came-out'
import { closed } from './closed'
import { complaintAfter } from './complaint-after'
import { confirmed } from './confirmed'
import { crank } from './crank'
import { decompressorTested } from './decompressor-tested'
import type { EventKind } from './define'
import { earlierFinding } from './earlier-finding'
import { estimate } from './estimate'
import { figureSettled } from './figure-settled'
import { finding } from './finding'
import { gasket } from './gasket'
import { gatePassed } from './gate-passed'
import { held } from './held'
import { markChecked } from './mark-checked'
import { nextDue } from './next-due'
import { note } from './note'
import { nutLoosened } from './nut-loosened'
import { nutsChecked } from './nuts-checked'
import { placed } from './placed'
import { planChosen } from './plan-chosen'
import { plugGap } from './plug-gap'
import { plugRead } from './plug-read'
import { pressure } from './pressure'
import { proofChosen } from './proof-chosen'
import { proveTurned } from './prove-turned'
import { putIn } from './put-in'
import { ran } from './ran'
import { readied } from './readied'
import { reopened } from './reopened'
import { replaced } from './replaced'
import { rested } from './rested'
import { resumed } from './resumed'
import { retracted } from './retracted'
import { schoolChosen } from './school-chosen'
import { screwChecked } from './screw-checked'
import { setChosen } from './set-chosen'
import { shimFitted } from './shim-fitted'
import { shimRead } from './shim-read'
import { specTaken } from './spec-taken'
import { takenOver } from './taken-over'
import { targetChosen } from './target-chosen'
import { temperature } from './temperature'
import { torqued } from './torqued'
import { trial } from './trial'
import { wentBack } from './went-back'
import { wrenchTaken } from './wrench-taken'

export { type ReadyLine } from './readied'

/** Every kind of event. A new one is a file of its own and a line here. */
const ALL = [
  confirmed,
  readied,
  temperature,
  rested,
  cameOff,
  putIn,
  plugRead,
  plugGap,
  finding,
  earlierFinding,
  schoolChosen,
  crank,
  markChecked,
  trial,
  estimate,
  bladesTaken,
  targetChosen,
  proofChosen,
  aimOffChosen,
  planChosen,
  bladeHabitChosen,
  wrenchTaken,
  figureSettled,
  specTaken,
  shimRead,
  shimFitted,
  camBack,
  setChosen,
  nutLoosened,
  decompressorTested,
  screwChecked,
  proveTurned,
  gatePassed,
  cameOut,
  wentBack,
  gasket,
  torqued,
  replaced,
  nutsChecked,
  pressure,
  ran,
  complaintAfter,
  note,
  nextDue,
  takenOver,
  held,
  abandoned,
  resumed,
  closed,
  reopened,
  placed,
  retracted,
] as const

type Kinds = { [K in (typeof ALL)[number] as K['type']]: K }
export const EVENTS = Object.fromEntries(ALL.map(kind => [kind.type, kind])) as unknown as Kinds
export type EventType = keyof Kinds
export const EVENT_TYPES = ALL.map(kind => kind.type) as [EventType, ...EventType[]]
export type Payload<T extends EventType> = z.infer<Kinds[T]['payload']>

/** A happening without its envelope: what an answer key says. */
export type Happening = { [T in EventType]: { type: T; payload: Payload<T> } }[EventType]

/** A kind by its type, for what does not ask which one it is. */
export const kindOf = (type: EventType) => EVENTS[type] as unknown as EventKind<EventType, z.ZodType>

/** Parses type and payload together. @throws ZodError naming the field */
export function parseHappening(type: EventType, payload: unknown): Happening {
  return { type, payload: EVENTS[type].payload.parse(payload) } as Happening
}
