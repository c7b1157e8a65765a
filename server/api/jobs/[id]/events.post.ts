import { postEvent } from '../../../services/job-log'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('POST /api/jobs/:id/events', ({ person, body, id }) =>
  postEvent(pool(), person, id, body, new Date()),
)
