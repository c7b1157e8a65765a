import { beginReading } from '../../../services/spec-import'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('POST /api/spec-imports/:id/read', ({ person, body, id }) =>
  beginReading(pool(), person, id, body),
)
