import { shopRoute } from '../../http/route'
import { addBladeSet } from '../../services/shelf'

export default shopRoute(
  'POST /api/blade-sets',
  ({ pool, person, body }) => addBladeSet(pool, person.shopId, body),
  'lead',
)
