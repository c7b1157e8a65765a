import { readPractice } from '../../services/practice'
import { shopRoute } from '../../http/route'

export default shopRoute('GET /api/practice', ({ pool, person }) => readPractice(pool, person))
