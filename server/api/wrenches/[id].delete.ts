import { shopRoute } from '../../http/route'
import { removeWrench } from '../../services/shelf'

export default shopRoute(
  'DELETE /api/wrenches/:id',
  ({ pool, person, id }) => removeWrench(pool, person.shopId, id),
  'lead',
)
