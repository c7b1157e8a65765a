import { shopRoute } from '../../../http/route'
import { readModel } from '../../../services/spec-book'

export default shopRoute('GET /api/models/:id', ({ pool, person, id }) => readModel(pool, person, id))
