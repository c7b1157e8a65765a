import { respeltImport } from '../../../services/spec-import'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('POST /api/spec-imports/:id/delimiter', ({ person, body, id }) =>
  respeltImport(pool(), person, id, body.delimiter),
)
