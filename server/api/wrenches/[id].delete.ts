import { removeWrench } from '../../services/shelf'
import { shopRoute } from '../../http/route'

export default shopRoute(
  'DELETE /api/wrenches/:id',
  ({ pool, person, id }) => removeWrench(pool, person.shopId, id),
  'lead',
)
