import { chooseOwnPin } from '../services/change-of-hands'
import { shopRoute } from '../http/route'

export default shopRoute('PUT /api/pin', ({ pool, person, body }) => chooseOwnPin(pool, person, body.pin))
