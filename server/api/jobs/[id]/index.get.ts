import { shopRoute } from '../../../http/route'
import { readJob } from '../../../services/jobs'

/** The job with its log; `?after=N` leaves out what the browser has seen. */
export default shopRoute('GET /api/jobs/:id', ({ pool, person, id, query }) =>
  readJob(pool, person.shopId, id, query.after, new Date()),
)
