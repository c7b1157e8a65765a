import { changeWrench } from '../../services/shelf'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(
  'PUT /api/wrenches/:id',
  ({ person, body, id }) => changeWrench(pool(), person.shopId, id, body),
  'lead',
)
