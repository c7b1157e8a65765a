import { newerSpec } from '../../../services/jobs'
import { shopRoute } from '../../../http/route'

export default shopRoute('GET /api/jobs/:id/newer-spec', ({ pool, person, id }) => newerSpec(pool, person.shopId, id))
