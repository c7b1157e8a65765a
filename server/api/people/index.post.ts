import { shopRoute } from '../../http/route'
import { addPerson } from '../../services/people'

export default shopRoute(
  'POST /api/people',
  async ({ pool, person, body }) => ({ id: await addPerson(pool, person.shopId, body) }),
  'lead',
)
