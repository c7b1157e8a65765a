import { openRoute } from '../../utils/api'

export default openRoute('GET /api/health/live', async () => ({ status: 'live' }))
