import { uploadImport } from '../../services/spec-import'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('POST /api/spec-imports', ({ event, person, query }) =>
  uploadImport(pool(), person, query.name, event),
)
