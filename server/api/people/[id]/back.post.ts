import { shopRoute } from '../../../http/route'
import { takeBack } from '../../../services/crew'

export default shopRoute(
  'POST /api/people/:id/back',
  async given => {
    given.subject = await takeBack(given.pool, given.person.shopId, given.id)
  },
  'lead',
)
