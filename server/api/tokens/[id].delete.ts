import { shopRoute } from '../../http/route'
import { endToken } from '../../services/api-tokens'

export default shopRoute('DELETE /api/tokens/:id', ({ pool, person, id }) => endToken(pool, person, id), 'lead')
