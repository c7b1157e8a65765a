import { SCHOOLS } from '../../stops'
import { z } from '../../zod'
import { defineEvent } from './define'

/** How this job finds its stops. */
export const schoolChosen = defineEvent({
  type: 'school-chosen',
  payload: z.object({ school: z.enum(SCHOOLS) }),
  fold: (state, { school }) => {
    state.school = school
  },
})
