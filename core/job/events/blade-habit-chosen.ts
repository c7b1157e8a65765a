import { z } from '../../zod'
import { BLADE_HABITS } from '../pin'
import { defineEvent } from './define'

/** Where the blade is while the nut is locked. */
export const bladeHabitChosen = defineEvent({
  type: 'blade-habit-chosen',
  payload: z.object({ habit: z.enum(BLADE_HABITS) }),
  fold: (state, { habit }) => {
    state.bladeHabit = habit
  },
})
