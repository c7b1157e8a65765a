import { shopRoute } from '../../http/route'
import { readPractice } from '../../services/practice'

export default shopRoute('GET /api/practice', ({ pool, person }) => readPractice(pool, person))
