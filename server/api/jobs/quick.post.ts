import { openQuickJob } from '../../services/quick-jobs'
import { shopRoute } from '../../http/route'

export default shopRoute('POST /api/jobs/quick', ({ pool, person, body }) =>
  openQuickJob(pool, person, body, new Date()),
)
