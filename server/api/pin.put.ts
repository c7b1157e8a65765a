import { shopRoute } from '../http/route'
import { chooseOwnPin } from '../services/change-of-hands'

export default shopRoute('PUT /api/pin', ({ pool, person, body }) => chooseOwnPin(pool, person, body.pin))
