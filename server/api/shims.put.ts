import { countShims } from '../services/shelf'
import { pool } from '../startup'
import { shopRoute } from '../utils/api'

export default shopRoute('PUT /api/shims', ({ person, body }) => countShims(pool(), person.shopId, body))
