import { readSheet } from '../../../services/sheet'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('GET /api/jobs/:id/sheet', ({ person, id }) =>
  readSheet(pool(), person.shopId, id, new Date()),
)
