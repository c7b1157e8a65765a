import { shopRoute } from '../../../http/route'
import { addTask } from '../../../services/board'

export default shopRoute('POST /api/jobs/:id/tasks', ({ pool, person, body, id }) => addTask(pool, person, id, body))
