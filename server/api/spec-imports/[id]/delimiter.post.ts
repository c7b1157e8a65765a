import { respeltImport } from '../../../services/spec-import'
import { shopRoute } from '../../../http/route'

export default shopRoute('POST /api/spec-imports/:id/delimiter', ({ pool, person, body, id }) =>
  respeltImport(pool, person, id, body.delimiter),
)
