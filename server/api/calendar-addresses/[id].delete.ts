import { endAddress } from '../../services/calendar'
import { shopRoute } from '../../http/route'

export default shopRoute(
  'DELETE /api/calendar-addresses/:id',
  ({ pool, person, id }) => endAddress(pool, person, id),
  'lead',
)
