import { endToken } from '../../services/api-tokens'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('DELETE /api/tokens/:id', ({ person, id }) => endToken(pool(), person, id), 'lead')
