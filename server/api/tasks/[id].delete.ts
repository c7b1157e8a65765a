import { removeTask } from '../../services/board'
import { pool } from '../../startup'
import { idOf, shopRoute } from '../../utils/api'

export default shopRoute(null, ({ event, person }) => removeTask(pool(), person, idOf(event)))
