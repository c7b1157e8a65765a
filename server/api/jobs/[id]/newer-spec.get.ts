import { shopRoute } from '../../../http/route'
import { newerSpec } from '../../../services/jobs'

export default shopRoute('GET /api/jobs/:id/newer-spec', ({ pool, person, id }) => newerSpec(pool, person.shopId, id))
