import { setupNeeded } from '../../services/people'
import { pool } from '../../startup'
import { openRoute } from '../../utils/api'

export default openRoute(null, async () => ({ needed: await setupNeeded(pool()) }))
