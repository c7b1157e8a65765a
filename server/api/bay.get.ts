import { bayOf } from '../services/bay'
import { pool } from '../startup'
import { shopRoute } from '../utils/api'

export default shopRoute('GET /api/bay', ({ person }) => bayOf(pool(), person.shopId, new Date(), person.role))
