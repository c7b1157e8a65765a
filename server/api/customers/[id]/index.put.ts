import { shopRoute } from '../../../http/route'
import { editCustomer } from '../../../services/customers'

export default shopRoute('PUT /api/customers/:id', ({ pool, person, body, id }) =>
  editCustomer(pool, person.shopId, id, body),
)
