import { openRoute } from '../../http/route'
import { readRestore } from '../../services/restore-here'

export default openRoute('GET /api/restore', async () => readRestore())
