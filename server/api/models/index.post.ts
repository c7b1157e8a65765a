import { addModel } from '../../services/spec-book'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('POST /api/models', ({ person, body }) => addModel(pool(), person, body))
