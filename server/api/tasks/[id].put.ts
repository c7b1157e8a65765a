import { tickTask } from '../../services/board'
import { shopRoute } from '../../http/route'

export default shopRoute('PUT /api/tasks/:id', ({ pool, person, body, id }) =>
  tickTask(pool, person, id, body, new Date()),
)
