import { shopRoute } from '../../../http/route'
import { draftReminder } from '../../../services/due'

export default shopRoute('GET /api/customers/:id/reminder', ({ pool, person, id, query }) =>
  draftReminder(pool, person.shopId, id, query.weeks, new Date()),
)
