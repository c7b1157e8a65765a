import { shopRoute } from '../../http/route'
import { uploadImport } from '../../services/spec-import'

export default shopRoute('POST /api/spec-imports', ({ pool, event, person, query }) =>
  uploadImport(pool, person, query.name, event),
)
