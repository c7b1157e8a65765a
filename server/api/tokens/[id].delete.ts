import { endToken } from '../../services/api-tokens'
import { shopRoute } from '../../http/route'

export default shopRoute('DELETE /api/tokens/:id', ({ pool, person, id }) => endToken(pool, person, id), 'lead')
