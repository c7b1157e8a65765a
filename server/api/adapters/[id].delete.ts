import { removeAdapter } from '../../services/shelf'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(
  'DELETE /api/adapters/:id',
  ({ person, id }) => removeAdapter(pool(), person.shopId, id),
  'lead',
)
