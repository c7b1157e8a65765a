import { dueList } from '../services/due'
import { pool } from '../startup'
import { shopRoute } from '../utils/api'

export default shopRoute('GET /api/due', ({ person, query: { weeks, most } }) =>
  dueList(pool(), person.shopId, weeks, new Date(), most),
)
