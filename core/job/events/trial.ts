import { FEELS } from '../../feeler'
import { z } from '../../zod'
import { gapChangeSchema } from '../gap-change'
import { onValve } from '../state'
import { changeGap, takeTrial } from '../valve-work'
import { defineEvent } from './define'
import { bladesMm, setName, valveId } from './fields'

/** A blade was tried, and what was done to the gap just before. */
export const trial = defineEvent({
  type: 'trial',
  payload: z.object({
    valveId,
    bladesMm,
    set: setName.optional(),
    feel: z.enum(FEELS),
    after: gapChangeSchema.nullable(),
  }),
  dependsOnPlace: true,
  projected: true,
  moves: ({ after }) => after !== null,
  fold: (state, payload, event, pin) =>
    onValve(state, payload.valveId, valve => takeTrial(pin, state, valve, event, payload)),
  turnBack: (state, { valveId: id, after }, backId) => {
    if (!after) return
    onValve(state, id, valve => {
      if (after.kind === 'screw') changeGap(state, valve, backId, { kind: 'screw', deg: -after.deg })
      else Object.assign(valve, { nut: 'loose', phase: 'before lock' })
    })
  },
})
