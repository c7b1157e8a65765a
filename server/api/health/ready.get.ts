import { openRoute } from '../../http/route'
import { checkReady } from '../../services/health'

export default openRoute('GET /api/health/ready', ({ pool }) => checkReady(pool))
