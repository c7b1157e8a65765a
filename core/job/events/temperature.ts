import { z } from 'zod'
import { defineEvent } from './define'

/** The head by the thermometer, and the air about it where somebody said. */
export const temperature = defineEvent({
  type: 'temperature',
  payload: z.object({
    celsius: z
      .number({ error: 'Give the temperature as a number.' })
      .min(-40, { error: 'Under −40 °C is no engine at a bench.' })
      .max(250, { error: 'Over 250 °C is not a head at a bench. Look at the unit.' }),
    airC: z
      .number({ error: 'Give the air as a number.' })
      .min(-40, { error: 'Air under −40 °C is no bench.' })
      .max(60, { error: 'Air over 60 °C is no bench. Look at the unit.' })
      .optional(),
  }),
  fold: (state, { celsius, airC }, { at }) => {
    state.temperature = { celsius, at }
    state.headReadings.push(state.temperature)
    state.airC = airC ?? state.airC
  },
})
