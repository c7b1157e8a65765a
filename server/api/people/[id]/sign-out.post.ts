import { signOutEverywhere } from '../../../services/people'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute(
  'POST /api/people/:id/sign-out',
  ({ person, id }) => signOutEverywhere(pool(), person.shopId, id),
  'lead',
)
