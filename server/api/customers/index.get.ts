import { listCustomers } from '../../services/customers'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('GET /api/customers', ({ person }) => listCustomers(pool(), person.shopId))
