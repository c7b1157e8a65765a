import { makeToken } from '../../services/api-tokens'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('POST /api/tokens', ({ person, body }) => makeToken(pool(), person, body.name), 'lead')
