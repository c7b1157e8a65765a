import { acceptImport } from '../../../services/spec-import'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('POST /api/spec-imports/:id/accept', ({ person, body, id }) =>
  acceptImport(pool(), person, id, body.approveBecause),
)
