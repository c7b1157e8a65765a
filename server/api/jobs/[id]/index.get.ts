import { getQuery } from 'h3'
import { readJob } from '../../../services/jobs'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

/** The job with its log; `?after=N` leaves out what the browser has seen. */
export default shopRoute(null, ({ event, person }) =>
  readJob(pool(), person.shopId, idOf(event), Number(getQuery(event).after) || 0, new Date()),
)
