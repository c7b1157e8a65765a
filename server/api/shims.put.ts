import { countShims } from '../services/shelf'
import { shopRoute } from '../http/route'

export default shopRoute('PUT /api/shims', ({ pool, person, body }) => countShims(pool, person.shopId, body))
