import { shopRoute } from '../../../http/route'
import { signOutEverywhere } from '../../../services/people'

export default shopRoute(
  'POST /api/people/:id/sign-out',
  async given => {
    given.subject = await signOutEverywhere(given.pool, given.person.shopId, given.id)
  },
  'lead',
)
