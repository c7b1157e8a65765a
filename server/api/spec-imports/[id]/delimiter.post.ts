import { shopRoute } from '../../../http/route'
import { respeltImport } from '../../../services/spec-import'

export default shopRoute('POST /api/spec-imports/:id/delimiter', ({ pool, person, body, id }) =>
  respeltImport(pool, person, id, body.delimiter),
)
