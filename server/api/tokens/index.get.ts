import { listTokens } from '../../services/api-tokens'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('GET /api/tokens', ({ person }) => listTokens(pool(), person), 'lead')
