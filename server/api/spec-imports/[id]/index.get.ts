import { readImport } from '../../../services/spec-import'
import { shopRoute } from '../../../http/route'

export default shopRoute('GET /api/spec-imports/:id', ({ pool, person, id }) => readImport(pool, person, id))
