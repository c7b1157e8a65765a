import { endToken } from '../../services/api-tokens'
import { pool } from '../../startup'
import { idOf, shopRoute } from '../../utils/api'

export default shopRoute(null, ({ event, person }) => endToken(pool(), person, idOf(event)), 'lead')
