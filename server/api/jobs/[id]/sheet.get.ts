import { shopRoute } from '../../../http/route'
import { readSheet } from '../../../services/sheet'

export default shopRoute('GET /api/jobs/:id/sheet', ({ pool, person, id }) =>
  readSheet(pool, person.shopId, id, new Date()),
)
