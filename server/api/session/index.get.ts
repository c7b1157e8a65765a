import { sessionOf } from '../../services/people'
import { shopRoute } from '../../http/route'

export default shopRoute('GET /api/session', ({ pool, person }) => sessionOf(pool, person))
