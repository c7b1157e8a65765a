import { listTokens } from '../../services/api-tokens'
import { shopRoute } from '../../http/route'

export default shopRoute('GET /api/tokens', ({ pool, person }) => listTokens(pool, person), 'lead')
