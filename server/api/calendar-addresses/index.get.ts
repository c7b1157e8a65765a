import { listAddresses } from '../../services/calendar'
import { shopRoute } from '../../http/route'

export default shopRoute('GET /api/calendar-addresses', ({ pool, person }) => listAddresses(pool, person.shopId))
