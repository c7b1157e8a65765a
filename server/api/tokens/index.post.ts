import { shopRoute } from '../../http/route'
import { makeToken } from '../../services/api-tokens'

export default shopRoute('POST /api/tokens', ({ pool, person, body }) => makeToken(pool, person, body.name), 'lead')
