import { shopRoute } from '../http/route'
import { bayOf } from '../services/bay'

export default shopRoute('GET /api/bay', ({ pool, person }) => bayOf(pool, person.shopId, new Date(), person))
