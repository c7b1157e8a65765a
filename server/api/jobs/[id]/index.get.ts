import { readJob } from '../../../services/jobs'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

/** The job with its log; `?after=N` leaves out what the browser has seen. */
export default shopRoute('GET /api/jobs/:id', ({ person, id, query }) =>
  readJob(pool(), person.shopId, id, query.after, new Date()),
)
