import { shopRoute } from '../../../http/route'
import { readMachine } from '../../../services/machines/memory'

export default shopRoute('GET /api/machines/:id', ({ pool, person, id }) =>
  readMachine(pool, person.shopId, id, new Date()),
)
