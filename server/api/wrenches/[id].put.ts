import { changeWrench } from '../../services/shelf'
import { shopRoute } from '../../http/route'

export default shopRoute(
  'PUT /api/wrenches/:id',
  ({ pool, person, body, id }) => changeWrench(pool, person.shopId, id, body),
  'lead',
)
