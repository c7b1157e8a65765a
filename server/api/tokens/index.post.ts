import { makeToken } from '../../services/api-tokens'
import { shopRoute } from '../../http/route'

export default shopRoute('POST /api/tokens', ({ pool, person, body }) => makeToken(pool, person, body.name), 'lead')
