import { newerSpec } from '../../../services/jobs'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('GET /api/jobs/:id/newer-spec', ({ person, id }) => newerSpec(pool(), person.shopId, id))
