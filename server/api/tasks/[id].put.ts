import { shopRoute } from '../../http/route'
import { tickTask } from '../../services/board'

export default shopRoute('PUT /api/tasks/:id', ({ pool, person, body, id }) =>
  tickTask(pool, person, id, body, new Date()),
)
