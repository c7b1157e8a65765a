import { addAdapter } from '../../services/shelf'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('POST /api/adapters', ({ person, body }) => addAdapter(pool(), person.shopId, body), 'lead')
