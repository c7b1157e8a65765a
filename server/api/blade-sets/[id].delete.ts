import { removeBladeSet } from '../../services/shelf'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(
  'DELETE /api/blade-sets/:id',
  ({ person, id }) => removeBladeSet(pool(), person.shopId, id),
  'lead',
)
