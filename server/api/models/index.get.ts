import { searchModels } from '../../services/spec-book'
import { shopRoute } from '../../http/route'

export default shopRoute('GET /api/models', ({ pool, person, query }) => searchModels(pool, person.shopId, query))
