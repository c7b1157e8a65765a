import { shopRoute } from '../http/route'
import { dueList } from '../services/due'

export default shopRoute('GET /api/due', ({ pool, person, query: { weeks, most } }) =>
  dueList(pool, person.shopId, weeks, new Date(), most),
)
