import { shopRoute } from '../../../http/route'
import { customerSummary } from '../../../services/customer-summary'

export default shopRoute('GET /api/customers/:id/summary', ({ pool, person, id, query }) =>
  customerSummary(pool, person.shopId, id, query.year, new Date()),
)
