import { shopRoute } from '../http/route'
import { readLog } from '../services/shop-log'

export default shopRoute('GET /api/log', ({ pool, person, query }) => readLog(pool, person.shopId, query), 'lead')
