import { readPractice } from '../../services/practice'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('GET /api/practice', ({ person }) => readPractice(pool(), person.shopId))
