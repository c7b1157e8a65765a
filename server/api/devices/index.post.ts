import { shopRoute } from '../../http/route'
import { giveTrustKey } from '../../http/session'
import { trustDevice } from '../../services/change-of-hands'

export default shopRoute(
  'POST /api/devices',
  ({ pool, event, person, body }) => trustDevice(pool, person, body.name, giveTrustKey(event)),
  'lead',
)
