import { placeJob } from '../../../services/board'
import { shopRoute } from '../../../http/route'

export default shopRoute('PUT /api/jobs/:id/place', ({ pool, person, body, id }) => placeJob(pool, person, id, body))
