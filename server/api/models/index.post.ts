import { addModel } from '../../services/spec-book'
import { shopRoute } from '../../http/route'

export default shopRoute('POST /api/models', ({ pool, person, body }) => addModel(pool, person, body))
