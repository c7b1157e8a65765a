import { endAddress } from '../../services/calendar'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(
  'DELETE /api/calendar-addresses/:id',
  ({ person, id }) => endAddress(pool(), person, id),
  'lead',
)
