import { beginReading } from '../../../services/spec-import'
import { shopRoute } from '../../../http/route'

export default shopRoute('POST /api/spec-imports/:id/read', ({ pool, person, body, id }) =>
  beginReading(pool, person, id, body),
)
