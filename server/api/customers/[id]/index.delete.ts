import { removeCustomer } from '../../../services/customers'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(null, ({ event, person }) => removeCustomer(pool(), person.shopId, idOf(event)))
