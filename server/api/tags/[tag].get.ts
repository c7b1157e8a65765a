import { getRouterParam } from 'h3'
import { machineWithTag } from '../../services/machines/edit'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(null, ({ event, person }) =>
  machineWithTag(pool(), person.shopId, decodeURIComponent(getRouterParam(event, 'tag') ?? '').slice(0, 40)),
)
