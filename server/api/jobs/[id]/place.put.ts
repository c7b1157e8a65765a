import { shopRoute } from '../../../http/route'
import { placeJob } from '../../../services/board'

export default shopRoute('PUT /api/jobs/:id/place', ({ pool, person, body, id }) => placeJob(pool, person, id, body))
