import { listMachines } from '../../services/machines/edit'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('GET /api/machines', ({ person, query }) => listMachines(pool(), person.shopId, query.q))
