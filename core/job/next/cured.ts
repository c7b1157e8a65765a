import { type Complaint, elseFor, pointsTo } from '../../complaint'
import { say } from '../../said'
import { COMPLAINT_RESULTS } from '../outcomes'
import { isProved } from '../requirements'
import type { JobView } from '../view'
import { withReason } from './keys'
import { key, type Worded } from './thing'

const stage: Worded['stage'] = { kind: 'close' }

/** Whether what it came for is gone, now that it runs. */
export function complaintThing(_: JobView, complaint: Complaint): Worded {
  return {
    label: say('cured.label'),
    instruction: say('cured', { complaint }),
    why: pointsTo(complaint).length > 0 ? say('cured.why') : say('cured.why.not-valves'),
    stage,
    keys: [
      ...COMPLAINT_RESULTS.map(result =>
        key(say(`cured.${result}`), say(`cured.${result}.help`), {
          type: 'complaint-after',
          payload: { complaint, result },
        }),
      ),
      withReason(say('cured.cannot-tell')),
    ],
  }
}

/** What else it may be, for whoever goes on with it: no valve work, and written down for the owner. */
export function elseThing(view: JobView, complaint: Complaint): Worded {
  const result = view.state.complaintsAfter[complaint] ?? 'same'
  return {
    label: say('else.label'),
    instruction: say('else', { complaint, result }),
    why: say('else.why', { valvesIn: view.state.valves.every(v => isProved(view, v)) }),
    stage,
    keys: [
      ...elseFor(complaint).map(suspect =>
        key(say(`suspect.${suspect}`), say(`suspect.${suspect}.help`), {
          type: 'finding',
          payload: { text: suspect, suspect, step: 'close', end: 'to do', about: complaint },
        }),
      ),
      withReason(say('else.none')),
    ],
  }
}
