import { z } from '../../zod'
import { defineEvent, said } from './define'
import { words, step } from './fields'

/** Something found that is not asked for. */
export const finding = defineEvent({
  type: 'finding',
  payload: z.object({ text: words(500), step }),
  fold: (state, { text, step: at }, event) => {
    state.findings.push({ ...said(event, text), step: at })
  },
})
