import { customerSchema } from '../../../shared/requests'
import { addCustomer } from '../../services/customers'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(customerSchema, ({ person, body }) => addCustomer(pool(), person.shopId, body))
