import { listCustomers } from '../../services/customers'
import { shopRoute } from '../../http/route'

export default shopRoute('GET /api/customers', ({ pool, person }) => listCustomers(pool, person.shopId))
