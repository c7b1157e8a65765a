import { shopRoute } from '../http/route'
import { chooseHands } from '../services/people'

export default shopRoute('PUT /api/hands', ({ pool, person, body }) => chooseHands(pool, person, body.hands))
