import { editCustomer } from '../../../services/customers'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('PUT /api/customers/:id', ({ person, body, id }) =>
  editCustomer(pool(), person.shopId, id, body),
)
