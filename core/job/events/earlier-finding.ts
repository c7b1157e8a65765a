import { z } from '../../zod'
import { defineEvent, said } from './define'

/** What became of something that an earlier visit found: by its place in the list that the job was opened with. */
export const earlierFinding = defineEvent({
  type: 'earlier-finding',
  payload: z.object({ index: z.number().int().min(0).max(99), now: z.enum(['done', 'still']) }),
  fold: (state, { index, now }, event, pin) => {
    const earlier = pin.toDo[index]
    if (!earlier) return
    state.earlier[index] = now
    // what is still to do is found again at this visit, so that the owner is told again
    if (now === 'still')
      state.findings.push({ ...said(event, earlier.text), ...earlier, step: 'ready', since: earlier })
  },
})
