import { shopRoute } from '../../../http/route'
import { removeCustomer } from '../../../services/customers'

export default shopRoute('DELETE /api/customers/:id', ({ pool, person, id }) => removeCustomer(pool, person.shopId, id))
