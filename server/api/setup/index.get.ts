import { openRoute } from '../../http/route'
import { setupNeeded } from '../../services/people'

export default openRoute('GET /api/setup', async ({ pool }) => ({ needed: await setupNeeded(pool) }))
