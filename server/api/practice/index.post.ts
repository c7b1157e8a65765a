import { shopRoute } from '../../http/route'
import { handOver } from '../../services/practice'

export default shopRoute('POST /api/practice', ({ pool, person, body }) => handOver(pool, person, body, new Date()))
