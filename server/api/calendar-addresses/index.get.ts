import { shopRoute } from '../../http/route'
import { listAddresses } from '../../services/calendar'

export default shopRoute('GET /api/calendar-addresses', ({ pool, person }) => listAddresses(pool, person.shopId))
