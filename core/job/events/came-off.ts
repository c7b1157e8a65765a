import { z } from '../../zod'
import type { WorkState } from '../state'
import { defineEvent } from './define'
import { also, words } from './fields'

/** A part that was back comes off once more: it goes back anew, and nothing that was done after it is done any more. */
function offAgain(state: WorkState, part: string): void {
  state.wentBack.delete(part)
  state.cameOff = state.cameOff.filter(p => p !== part)
  Reflect.deleteProperty(state.torqued, part)
  Reflect.deleteProperty(state.gaskets, part)
  state.confirmed.delete('live')
  state.nutsChecked = null
  state.ran = null
  state.complaintsAfter = {}
}

/** A part that came off, to go back in reverse order; others that came off right after it. */
export const cameOff = defineEvent({
  type: 'came-off',
  payload: z.object({ item: words(60), also }),
  fold: (state, { item, also }) => {
    for (const part of [item, ...(also ?? [])]) {
      if (state.wentBack.has(part)) offAgain(state, part)
      if (!state.cameOff.includes(part)) state.cameOff.push(part)
    }
  },
})
