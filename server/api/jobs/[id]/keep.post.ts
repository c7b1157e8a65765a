import { shopRoute } from '../../../http/route'
import { keepQuickJob } from '../../../services/quick-jobs'

export default shopRoute('POST /api/jobs/:id/keep', ({ pool, person, id, body }) =>
  keepQuickJob(pool, person, id, body),
)
