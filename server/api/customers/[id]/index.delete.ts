import { removeCustomer } from '../../../services/customers'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('DELETE /api/customers/:id', ({ person, id }) => removeCustomer(pool(), person.shopId, id))
