import { listTokens } from '../../services/api-tokens'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(null, ({ person }) => listTokens(pool(), person), 'lead')
