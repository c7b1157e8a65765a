import { getQuery } from 'h3'
import { listMachines } from '../../services/machines/edit'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(null, ({ event, person }) =>
  listMachines(pool(), person.shopId, String(getQuery(event).q ?? '').slice(0, 80)),
)
