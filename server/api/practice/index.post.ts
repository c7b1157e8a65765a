import { handOver } from '../../services/practice'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('POST /api/practice', ({ person, body }) => handOver(pool(), person, body, new Date()))
