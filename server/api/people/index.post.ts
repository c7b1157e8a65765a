import { addPerson } from '../../services/people'
import { shopRoute } from '../../http/route'

export default shopRoute(
  'POST /api/people',
  async ({ pool, person, body }) => ({ id: await addPerson(pool, person.shopId, body) }),
  'lead',
)
