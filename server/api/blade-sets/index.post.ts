import { addBladeSet } from '../../services/shelf'
import { shopRoute } from '../../http/route'

export default shopRoute(
  'POST /api/blade-sets',
  ({ pool, person, body }) => addBladeSet(pool, person.shopId, body),
  'lead',
)
