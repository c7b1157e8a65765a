import { addAdapter } from '../../services/shelf'
import { shopRoute } from '../../http/route'

export default shopRoute(
  'POST /api/adapters',
  ({ pool, person, body }) => addAdapter(pool, person.shopId, body),
  'lead',
)
