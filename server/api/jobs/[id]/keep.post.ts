import { keepQuickJob } from '../../../services/quick-jobs'
import { shopRoute } from '../../../http/route'

export default shopRoute('POST /api/jobs/:id/keep', ({ pool, person, id, body }) =>
  keepQuickJob(pool, person, id, body),
)
