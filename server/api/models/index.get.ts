import { searchModels } from '../../services/spec-book'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('GET /api/models', ({ person, query }) => searchModels(pool(), person.shopId, query))
