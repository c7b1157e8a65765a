import { removeTask } from '../../services/board'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('DELETE /api/tasks/:id', ({ person, id }) => removeTask(pool(), person, id))
