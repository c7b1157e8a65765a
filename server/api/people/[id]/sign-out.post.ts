import { signOutEverywhere } from '../../../services/people'
import { shopRoute } from '../../../http/route'

export default shopRoute(
  'POST /api/people/:id/sign-out',
  ({ pool, person, id }) => signOutEverywhere(pool, person.shopId, id),
  'lead',
)
