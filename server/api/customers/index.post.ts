import { shopRoute } from '../../http/route'
import { addCustomer } from '../../services/customers'

export default shopRoute('POST /api/customers', ({ pool, person, body }) => addCustomer(pool, person.shopId, body))
