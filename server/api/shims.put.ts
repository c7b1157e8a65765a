import { shopRoute } from '../http/route'
import { countShims } from '../services/shelf'

export default shopRoute('PUT /api/shims', ({ pool, person, body }) => countShims(pool, person.shopId, body))
