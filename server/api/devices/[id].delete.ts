import { shopRoute } from '../../http/route'
import { endDevice } from '../../services/change-of-hands'

export default shopRoute(
  'DELETE /api/devices/:id',
  ({ pool, person, id }) => endDevice(pool, person.shopId, id),
  'lead',
)
