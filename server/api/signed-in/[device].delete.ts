import { getRouterParam } from 'h3'
import { shopRoute } from '../../http/route'
import { endDevice } from '../../services/phones'

export default shopRoute(
  'DELETE /api/signed-in/:device',
  async given => {
    const { pool, person, event } = given
    given.subject = await endDevice(pool, person.shopId, getRouterParam(event, 'device') ?? '')
  },
  'lead',
)
