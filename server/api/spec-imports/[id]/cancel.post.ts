import { shopRoute } from '../../../http/route'
import { cancelImport } from '../../../services/spec-import'

export default shopRoute('POST /api/spec-imports/:id/cancel', ({ pool, person, id }) => cancelImport(pool, person, id))
