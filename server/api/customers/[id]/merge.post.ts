import { shopRoute } from '../../../http/route'
import { mergeCustomers } from '../../../services/customers'

export default shopRoute('POST /api/customers/:id/merge', ({ pool, person, body, id }) =>
  mergeCustomers(pool, person.shopId, id, body.intoId),
)
