import { shopRoute } from '../../http/route'
import { changeWrench } from '../../services/shelf'

export default shopRoute(
  'PUT /api/wrenches/:id',
  ({ pool, person, body, id }) => changeWrench(pool, person.shopId, id, body),
  'lead',
)
