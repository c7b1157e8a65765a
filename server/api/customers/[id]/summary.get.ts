import { customerSummary } from '../../../services/customer-summary'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('GET /api/customers/:id/summary', ({ person, id, query }) =>
  customerSummary(pool(), person.shopId, id, query.year, new Date()),
)
