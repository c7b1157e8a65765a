import { shopRoute } from '../../../http/route'
import { postEvent } from '../../../services/job-log'

export default shopRoute('POST /api/jobs/:id/events', ({ pool, person, body, id }) =>
  postEvent(pool, person, id, body, new Date()),
)
