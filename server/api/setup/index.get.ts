import { setupNeeded } from '../../services/people'
import { pool } from '../../startup'
import { openRoute } from '../../utils/api'

export default openRoute('GET /api/setup', async () => ({ needed: await setupNeeded(pool()) }))
