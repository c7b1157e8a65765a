import { uploadImport } from '../../services/spec-import'
import { shopRoute } from '../../http/route'

export default shopRoute('POST /api/spec-imports', ({ pool, event, person, query }) =>
  uploadImport(pool, person, query.name, event),
)
