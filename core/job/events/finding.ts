import { COMPLAINTS, SUSPECTS } from '../../complaint'
import { z } from '../../zod'
import { FINDING_ENDS } from '../outcomes'
import { defineEvent, said } from './define'
import { step, words } from './fields'

/** Something found that is not asked for: of a part, and what is to become of it, where that was said. */
export const finding = defineEvent({
  type: 'finding',
  payload: z.object({
    text: words(500),
    step,
    part: words(60).optional(),
    end: z.enum(FINDING_ENDS).optional(),
    /** The complaint that it may be the cause of, where the valves are not. */
    about: z.enum(COMPLAINTS).optional(),
    suspect: z.enum(SUSPECTS).optional(),
  }),
  fold: (state, { text, step: at, part, end, about, suspect }, event) => {
    state.findings.push({
      ...said(event, text),
      step: at,
      part: part ?? null,
      end: end ?? null,
      about: about ?? null,
      suspect: suspect ?? null,
    })
  },
})
