import { shopRoute } from '../../http/route'
import { addAdapter } from '../../services/shelf'

export default shopRoute(
  'POST /api/adapters',
  ({ pool, person, body }) => addAdapter(pool, person.shopId, body),
  'lead',
)
