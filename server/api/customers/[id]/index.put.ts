import { editCustomer } from '../../../services/customers'
import { shopRoute } from '../../../http/route'

export default shopRoute('PUT /api/customers/:id', ({ pool, person, body, id }) =>
  editCustomer(pool, person.shopId, id, body),
)
