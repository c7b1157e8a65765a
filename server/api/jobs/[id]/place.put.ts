import { placeJob } from '../../../services/board'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('PUT /api/jobs/:id/place', ({ person, body, id }) => placeJob(pool(), person, id, body))
