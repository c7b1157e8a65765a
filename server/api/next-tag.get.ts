import { shopRoute } from '../http/route'
import { nextTag } from '../services/machines/next-tag'

export default shopRoute('GET /api/next-tag', ({ pool, person }) => nextTag(pool, person.shopId))
