import { addCustomer } from '../../services/customers'
import { shopRoute } from '../../http/route'

export default shopRoute('POST /api/customers', ({ pool, person, body }) => addCustomer(pool, person.shopId, body))
