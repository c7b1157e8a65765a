import { shopRoute } from '../../http/route'
import { listMachines } from '../../services/machines/edit'

export default shopRoute('GET /api/machines', ({ pool, person, query }) => listMachines(pool, person.shopId, query.q))
