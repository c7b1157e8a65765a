import { removeCustomer } from '../../../services/customers'
import { shopRoute } from '../../../http/route'

export default shopRoute('DELETE /api/customers/:id', ({ pool, person, id }) => removeCustomer(pool, person.shopId, id))
