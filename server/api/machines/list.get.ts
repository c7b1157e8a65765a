import { listOfMachines } from '../../services/machines/list'
import { shopRoute } from '../../http/route'

export default shopRoute('GET /api/machines/list', ({ pool, person, query }) =>
  listOfMachines(pool, person.shopId, query, new Date()),
)
