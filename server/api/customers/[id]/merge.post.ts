import { mergeCustomers } from '../../../services/customers'
import { shopRoute } from '../../../http/route'

export default shopRoute('POST /api/customers/:id/merge', ({ pool, person, body, id }) =>
  mergeCustomers(pool, person.shopId, id, body.intoId),
)
