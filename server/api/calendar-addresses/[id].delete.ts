import { shopRoute } from '../../http/route'
import { endAddress } from '../../services/calendar'

export default shopRoute(
  'DELETE /api/calendar-addresses/:id',
  ({ pool, person, id }) => endAddress(pool, person, id),
  'lead',
)
