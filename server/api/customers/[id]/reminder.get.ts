import { draftReminder } from '../../../services/due'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('GET /api/customers/:id/reminder', ({ person, id, query }) =>
  draftReminder(pool(), person.shopId, id, query.weeks, new Date()),
)
