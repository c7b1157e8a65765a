import { handOver } from '../../services/practice'
import { shopRoute } from '../../http/route'

export default shopRoute('POST /api/practice', ({ pool, person, body }) => handOver(pool, person, body, new Date()))
