import { acceptImport } from '../../../services/spec-import'
import { shopRoute } from '../../../http/route'

export default shopRoute('POST /api/spec-imports/:id/accept', ({ pool, person, body, id }) =>
  acceptImport(pool, person, id, body.approveBecause),
)
