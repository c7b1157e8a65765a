import { cancelImport } from '../../../services/spec-import'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('POST /api/spec-imports/:id/cancel', ({ person, id }) => cancelImport(pool(), person, id))
