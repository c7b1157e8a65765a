import { readModel } from '../../../services/spec-book'
import { shopRoute } from '../../../http/route'

export default shopRoute('GET /api/models/:id', ({ pool, person, id }) => readModel(pool, person, id))
