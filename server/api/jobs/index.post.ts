import { openJob } from '../../services/jobs'
import { shopRoute } from '../../http/route'

export default shopRoute('POST /api/jobs', ({ pool, person, body }) => openJob(pool, person, body, new Date()))
