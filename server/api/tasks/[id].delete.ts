import { shopRoute } from '../../http/route'
import { removeTask } from '../../services/board'

export default shopRoute('DELETE /api/tasks/:id', ({ pool, person, id }) => removeTask(pool, person, id))
