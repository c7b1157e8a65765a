import { shopRoute } from '../../http/route'
import { listOfMachines } from '../../services/machines/list'

export default shopRoute('GET /api/machines/list', ({ pool, person, query }) =>
  listOfMachines(pool, person.shopId, query, new Date()),
)
