import { mergeSchema } from '../../../../shared/requests'
import { mergeCustomers } from '../../../services/customers'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(mergeSchema, ({ event, person, body }) =>
  mergeCustomers(pool(), person.shopId, idOf(event), body.intoId),
)
