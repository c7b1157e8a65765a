import { checkReady } from '../../services/health'
import { openRoute } from '../../http/route'

export default openRoute('GET /api/health/ready', ({ pool }) => checkReady(pool))
