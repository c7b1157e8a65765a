import { shopRoute } from '../../http/route'
import { listTokens } from '../../services/api-tokens'

export default shopRoute('GET /api/tokens', ({ pool, person }) => listTokens(pool, person), 'lead')
