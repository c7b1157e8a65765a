import { readImport } from '../../../services/spec-import'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('GET /api/spec-imports/:id', ({ person, id }) => readImport(pool(), person, id))
