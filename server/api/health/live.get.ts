import { openRoute } from '../../http/route'

export default openRoute('GET /api/health/live', async () => ({ status: 'live' }))
