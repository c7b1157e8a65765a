import { shopRoute } from '../../../http/route'
import { eraseOwner } from '../../../services/privacy'

export default shopRoute(
  'POST /api/customers/:id/erase',
  async given => {
    await eraseOwner(given.pool, given.person.shopId, given.id)
    // who was erased is not written down again
    given.subject = ''
  },
  'lead',
)
