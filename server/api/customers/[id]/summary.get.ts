import { customerSummary } from '../../../services/customer-summary'
import { shopRoute } from '../../../http/route'

export default shopRoute('GET /api/customers/:id/summary', ({ pool, person, id, query }) =>
  customerSummary(pool, person.shopId, id, query.year, new Date()),
)
