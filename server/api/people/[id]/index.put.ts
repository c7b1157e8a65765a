import { shopRoute } from '../../../http/route'
import { changeRole } from '../../../services/crew'

export default shopRoute(
  'PUT /api/people/:id',
  async given => {
    given.subject = await changeRole(given.pool, given.person.shopId, given.id, given.body.role)
  },
  'lead',
)
