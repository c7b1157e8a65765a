import { taskSchema } from '../../../../shared/requests'
import { addTask } from '../../../services/board'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(taskSchema, ({ event, person, body }) => addTask(pool(), person, idOf(event), body))
