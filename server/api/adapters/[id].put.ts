import { shopRoute } from '../../http/route'
import { changeAdapter } from '../../services/shelf'

export default shopRoute(
  'PUT /api/adapters/:id',
  ({ pool, person, body, id }) => changeAdapter(pool, person.shopId, id, body),
  'lead',
)
