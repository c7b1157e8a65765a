import { shopRoute } from '../../http/route'
import { listCustomers } from '../../services/customers'

export default shopRoute('GET /api/customers', ({ pool, person }) => listCustomers(pool, person.shopId))
