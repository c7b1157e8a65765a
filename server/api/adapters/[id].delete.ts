import { shopRoute } from '../../http/route'
import { removeAdapter } from '../../services/shelf'

export default shopRoute(
  'DELETE /api/adapters/:id',
  ({ pool, person, id }) => removeAdapter(pool, person.shopId, id),
  'lead',
)
