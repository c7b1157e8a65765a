import { runnerRoute } from '../../http/runner-route'
import { listShops } from '../../services/shops'

export default runnerRoute('GET /api/shops', ({ pool, person }) => listShops(pool, person))
