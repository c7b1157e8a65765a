import { bayOf } from '../services/bay'
import { shopRoute } from '../http/route'

export default shopRoute('GET /api/bay', ({ pool, person }) => bayOf(pool, person.shopId, new Date(), person))
