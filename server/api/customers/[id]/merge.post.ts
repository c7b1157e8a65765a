import { mergeCustomers } from '../../../services/customers'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('POST /api/customers/:id/merge', ({ person, body, id }) =>
  mergeCustomers(pool(), person.shopId, id, body.intoId),
)
