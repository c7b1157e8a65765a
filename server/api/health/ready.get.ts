import { checkReady } from '../../services/health'
import { pool } from '../../startup'
import { openRoute } from '../../utils/api'

export default openRoute(null, () => checkReady(pool()))
