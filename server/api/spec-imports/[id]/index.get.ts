import { shopRoute } from '../../../http/route'
import { readImport } from '../../../services/spec-import'

export default shopRoute('GET /api/spec-imports/:id', ({ pool, person, id }) => readImport(pool, person, id))
