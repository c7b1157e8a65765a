import { listDevices } from '../../services/change-of-hands'
import { shopRoute } from '../../http/route'

export default shopRoute('GET /api/devices', ({ pool, person }) => listDevices(pool, person.shopId), 'lead')
