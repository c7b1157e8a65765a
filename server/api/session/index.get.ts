import { sessionOf } from '../../services/people'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('GET /api/session', ({ person }) => sessionOf(pool(), person))
