import { acceptImportSchema } from '../../../../shared/spec-book'
import { acceptImport } from '../../../services/spec-import'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(acceptImportSchema, ({ event, person, body }) =>
  acceptImport(pool(), person, idOf(event), body.approveBecause),
)
