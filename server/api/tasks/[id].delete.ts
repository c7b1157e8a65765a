import { removeTask } from '../../services/board'
import { shopRoute } from '../../http/route'

export default shopRoute('DELETE /api/tasks/:id', ({ pool, person, id }) => removeTask(pool, person, id))
