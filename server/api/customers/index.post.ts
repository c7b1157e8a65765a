import { addCustomer } from '../../services/customers'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('POST /api/customers', ({ person, body }) => addCustomer(pool(), person.shopId, body))
