import { listMachines } from '../../services/machines/edit'
import { shopRoute } from '../../http/route'

export default shopRoute('GET /api/machines', ({ pool, person, query }) => listMachines(pool, person.shopId, query.q))
