import { wrong } from '../../wrong'
import { z } from '../../zod'
import { defineEvent } from './define'

/** The head by the thermometer, and the air about it where somebody said. */
export const temperature = defineEvent({
  type: 'temperature',
  payload: z.object({
    celsius: z
      .number({ error: wrong('wrong.give-the-temperature-as-a') })
      .min(-40, { error: wrong('wrong.under-40-c-is-no') })
      .max(250, { error: wrong('wrong.over-250-c-is-not') }),
    airC: z
      .number({ error: wrong('wrong.give-the-air-as-a') })
      .min(-40, { error: wrong('wrong.air-under-40-c-is') })
      .max(60, { error: wrong('wrong.air-over-60-c-is') })
      .optional(),
  }),
  fold: (state, { celsius, airC }, { at }) => {
    state.temperature = { celsius, at }
    state.headReadings.push(state.temperature)
    state.airC = airC ?? state.airC
  },
})
