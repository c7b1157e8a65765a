import { draftReminder } from '../../../services/due'
import { shopRoute } from '../../../http/route'

export default shopRoute('GET /api/customers/:id/reminder', ({ pool, person, id, query }) =>
  draftReminder(pool, person.shopId, id, query.weeks, new Date()),
)
