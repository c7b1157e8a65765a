import { checkReady } from '../../services/health'
import { pool } from '../../startup'
import { openRoute } from '../../utils/api'

export default openRoute('GET /api/health/ready', () => checkReady(pool()))
