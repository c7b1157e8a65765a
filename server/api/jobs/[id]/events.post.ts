import { eventRequestSchema } from '../../../../shared/event-request'
import { postEvent } from '../../../services/job-log'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(eventRequestSchema, ({ event, person, body }) =>
  postEvent(pool(), person, idOf(event), body, new Date()),
)
