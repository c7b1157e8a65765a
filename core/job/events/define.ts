import type { z } from 'zod'
import type { Envelope } from '../envelope'
import type { JobPin } from '../pin'
import type { Remark, WorkState } from '../state'

/** All that one kind of event is. */
export interface EventKind<T extends string, P extends z.ZodType> {
  type: T
  /**
   * What it carries, version 1, with the words for what cannot be. A later version is upcast when it is read, never
   * rewritten.
   */
  payload: P
  /** Its meaning hangs on where crank and screw stood: an answer of another device waits until it is known which. */
  dependsOnPlace?: true
  /**
   * It can change a reading or the job’s status, so that the server makes its projections anew; all else is only
   * written down.
   */
  projected?: true
  /** Whether it moved the crank or a screw, so that what was felt before it means something else after it. */
  moves?: (payload: z.output<P>) => boolean
  /** What it does to the state, in place. An event that speaks of the log itself does nothing here. */
  fold?: (state: WorkState, payload: z.output<P>, event: Envelope, pin: JobPin) => void
  /** What is so after it was turned back on the engine itself. */
  turnBack?: (state: WorkState, payload: z.output<P>, backId: string) => void
}

/** Makes a kind of event, so that its parts are checked against one another by type. */
export const defineEvent = <T extends string, P extends z.ZodType>(kind: EventKind<T, P>): EventKind<T, P> => kind

/** Words of a person, with who said them and when. */
export const said = ({ personName, at }: Envelope, text: string): Remark => ({ text, by: personName, at })
