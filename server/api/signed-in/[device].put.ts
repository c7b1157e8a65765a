import { getRouterParam } from 'h3'
import { shopRoute } from '../../http/route'
import { keepName, ownSession } from '../../http/session'
import { nameDevice, readPhones } from '../../services/phones'

export default shopRoute(
  'PUT /api/signed-in/:device',
  async ({ pool, person, event, body }) => {
    const device = getRouterParam(event, 'device') ?? ''
    await nameDevice(pool, person.shopId, device, body.name)
    const { devices } = await readPhones(pool, person, await ownSession(event))
    if (devices.find(d => d.here)?.id === device) keepName(event, body.name)
  },
  'lead',
)
