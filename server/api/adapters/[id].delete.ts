import { removeAdapter } from '../../services/shelf'
import { shopRoute } from '../../http/route'

export default shopRoute(
  'DELETE /api/adapters/:id',
  ({ pool, person, id }) => removeAdapter(pool, person.shopId, id),
  'lead',
)
