import { setupNeeded } from '../../services/people'
import { openRoute } from '../../http/route'

export default openRoute('GET /api/setup', async ({ pool }) => ({ needed: await setupNeeded(pool) }))
