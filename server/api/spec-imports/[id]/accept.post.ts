import { shopRoute } from '../../../http/route'
import { acceptImport } from '../../../services/spec-import'

export default shopRoute('POST /api/spec-imports/:id/accept', ({ pool, person, body, id }) =>
  acceptImport(pool, person, id, body.approveBecause),
)
