import { openRoute } from '../../utils/api'

export default openRoute(null, async () => ({ status: 'live' }))
