import { shopRoute } from '../../../http/route'
import { beginReading } from '../../../services/spec-import'

export default shopRoute('POST /api/spec-imports/:id/read', ({ pool, person, body, id }) =>
  beginReading(pool, person, id, body),
)
