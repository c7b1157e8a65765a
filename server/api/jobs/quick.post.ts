import { shopRoute } from '../../http/route'
import { openQuickJob } from '../../services/quick-jobs'

export default shopRoute('POST /api/jobs/quick', ({ pool, person, body }) =>
  openQuickJob(pool, person, body, new Date()),
)
