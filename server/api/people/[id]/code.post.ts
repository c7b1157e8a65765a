import { shopRoute } from '../../../http/route'
import { makeCode } from '../../../services/crew'

export default shopRoute(
  'POST /api/people/:id/code',
  async given => {
    const { code, name } = await makeCode(given.pool, given.person.shopId, given.id, new Date())
    given.subject = name
    return code
  },
  'lead',
)
