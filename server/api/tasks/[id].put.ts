import { tickTask } from '../../services/board'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('PUT /api/tasks/:id', ({ person, body, id }) => tickTask(pool(), person, id, body, new Date()))
