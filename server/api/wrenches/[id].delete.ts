import { removeWrench } from '../../services/shelf'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(
  'DELETE /api/wrenches/:id',
  ({ person, id }) => removeWrench(pool(), person.shopId, id),
  'lead',
)
