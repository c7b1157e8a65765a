import { listAddresses } from '../../services/calendar'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('GET /api/calendar-addresses', ({ person }) => listAddresses(pool(), person.shopId))
