import { endDevice } from '../../services/change-of-hands'
import { shopRoute } from '../../http/route'

export default shopRoute(
  'DELETE /api/devices/:id',
  ({ pool, person, id }) => endDevice(pool, person.shopId, id),
  'lead',
)
