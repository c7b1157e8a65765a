import { shopRoute } from '../../../http/route'
import { endPerson } from '../../../services/crew'

export default shopRoute(
  'DELETE /api/people/:id',
  async given => {
    given.subject = await endPerson(given.pool, given.person.shopId, given.id)
  },
  'lead',
)
