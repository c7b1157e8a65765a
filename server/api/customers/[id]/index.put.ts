import { customerSchema } from '../../../../shared/requests'
import { editCustomer } from '../../../services/customers'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(customerSchema, ({ event, person, body }) =>
  editCustomer(pool(), person.shopId, idOf(event), body),
)
