import { listAddresses } from '../../services/calendar'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(null, ({ person }) => listAddresses(pool(), person.shopId))
