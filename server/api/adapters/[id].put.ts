import { changeAdapter } from '../../services/shelf'
import { shopRoute } from '../../http/route'

export default shopRoute(
  'PUT /api/adapters/:id',
  ({ pool, person, body, id }) => changeAdapter(pool, person.shopId, id, body),
  'lead',
)
