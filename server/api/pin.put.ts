import { chooseOwnPin } from '../services/change-of-hands'
import { Problem } from '../problem'
import { say } from '../../core/said'
import { shopRoute } from '../http/route'

export default shopRoute('PUT /api/pin', async ({ pool, person, body }) => {
  if (person.byPin) throw new Problem('not-allowed', say('refused.not-by-pin'))
  await chooseOwnPin(pool, person, body.pin)
})
