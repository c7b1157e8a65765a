import { addPerson } from '../../services/people'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(
  'POST /api/people',
  async ({ person, body }) => ({ id: await addPerson(pool(), person.shopId, body) }),
  'lead',
)
