import { addTask } from '../../../services/board'
import { shopRoute } from '../../../http/route'

export default shopRoute('POST /api/jobs/:id/tasks', ({ pool, person, body, id }) => addTask(pool, person, id, body))
