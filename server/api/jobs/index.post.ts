import { openJob } from '../../services/jobs'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('POST /api/jobs', ({ person, body }) => openJob(pool(), person, body, new Date()))
