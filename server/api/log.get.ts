import { readLog } from '../services/shop-log'
import { shopRoute } from '../http/route'

export default shopRoute('GET /api/log', ({ pool, person, query }) => readLog(pool, person.shopId, query), 'lead')
