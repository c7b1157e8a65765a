import { readMachine } from '../../../services/machines/memory'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('GET /api/machines/:id', ({ person, id }) =>
  readMachine(pool(), person.shopId, id, new Date()),
)
