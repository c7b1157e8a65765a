import { readSheet } from '../../../services/sheet'
import { shopRoute } from '../../../http/route'

export default shopRoute('GET /api/jobs/:id/sheet', ({ pool, person, id }) =>
  readSheet(pool, person.shopId, id, new Date()),
)
