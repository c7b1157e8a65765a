import { shopRoute } from '../../http/route'
import { removeBladeSet } from '../../services/shelf'

export default shopRoute(
  'DELETE /api/blade-sets/:id',
  ({ pool, person, id }) => removeBladeSet(pool, person.shopId, id),
  'lead',
)
