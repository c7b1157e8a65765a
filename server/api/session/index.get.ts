import { shopRoute } from '../../http/route'
import { sessionOf } from '../../services/people'

export default shopRoute('GET /api/session', ({ pool, person }) => sessionOf(pool, person))
