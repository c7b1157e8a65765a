import { readModel } from '../../../services/spec-book'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('GET /api/models/:id', ({ person, id }) => readModel(pool(), person, id))
