import { chooseHands } from '../services/people'
import { shopRoute } from '../http/route'

export default shopRoute('PUT /api/hands', ({ pool, person, body }) => chooseHands(pool, person, body.hands))
