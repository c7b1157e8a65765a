import { taskDoneSchema } from '../../../shared/requests'
import { tickTask } from '../../services/board'
import { pool } from '../../startup'
import { idOf, shopRoute } from '../../utils/api'

export default shopRoute(taskDoneSchema, ({ event, person, body }) =>
  tickTask(pool(), person, idOf(event), body, new Date()),
)
