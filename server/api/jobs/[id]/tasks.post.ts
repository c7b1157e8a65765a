import { addTask } from '../../../services/board'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('POST /api/jobs/:id/tasks', ({ person, body, id }) => addTask(pool(), person, id, body))
