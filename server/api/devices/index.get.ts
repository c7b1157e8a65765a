import { shopRoute } from '../../http/route'
import { listDevices } from '../../services/change-of-hands'

export default shopRoute('GET /api/devices', ({ pool, person }) => listDevices(pool, person.shopId), 'lead')
