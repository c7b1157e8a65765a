import { openRoute } from '../../http/route'
import { beginRestore } from '../../services/restore-here'

export default openRoute('PUT /api/restore', ({ pool, body }) => beginRestore(pool, body.password, new Date()))
