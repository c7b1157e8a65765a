import { readMachine } from '../../../services/machines/memory'
import { shopRoute } from '../../../http/route'

export default shopRoute('GET /api/machines/:id', ({ pool, person, id }) =>
  readMachine(pool, person.shopId, id, new Date()),
)
