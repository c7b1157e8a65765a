import { dueList } from '../services/due'
import { shopRoute } from '../http/route'

export default shopRoute('GET /api/due', ({ pool, person, query: { weeks, most } }) =>
  dueList(pool, person.shopId, weeks, new Date(), most),
)
