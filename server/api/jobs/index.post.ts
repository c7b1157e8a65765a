import { shopRoute } from '../../http/route'
import { openJob } from '../../services/jobs'

export default shopRoute('POST /api/jobs', ({ pool, person, body }) => openJob(pool, person, body, new Date()))
