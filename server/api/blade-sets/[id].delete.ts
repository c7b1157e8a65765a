import { removeBladeSet } from '../../services/shelf'
import { shopRoute } from '../../http/route'

export default shopRoute(
  'DELETE /api/blade-sets/:id',
  ({ pool, person, id }) => removeBladeSet(pool, person.shopId, id),
  'lead',
)
