import { shopRoute } from '../../http/route'
import { searchModels } from '../../services/spec-book'

export default shopRoute('GET /api/models', ({ pool, person, query }) => searchModels(pool, person.shopId, query))
