import { cancelImport } from '../../../services/spec-import'
import { shopRoute } from '../../../http/route'

export default shopRoute('POST /api/spec-imports/:id/cancel', ({ pool, person, id }) => cancelImport(pool, person, id))
