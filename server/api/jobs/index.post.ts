import { openJobSchema } from '../../../shared/requests'
import { openJob } from '../../services/jobs'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(openJobSchema, ({ person, body }) => openJob(pool(), person, body, new Date()))
