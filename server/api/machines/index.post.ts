import { addMachine } from '../../services/machines/edit'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('POST /api/machines', ({ person, body }) => addMachine(pool(), person.shopId, body))
