import { changeAdapter } from '../../services/shelf'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(
  'PUT /api/adapters/:id',
  ({ person, body, id }) => changeAdapter(pool(), person.shopId, id, body),
  'lead',
)
