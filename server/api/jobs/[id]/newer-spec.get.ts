import { newerSpec } from '../../../services/jobs'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(null, ({ event, person }) => newerSpec(pool(), person.shopId, idOf(event)))
