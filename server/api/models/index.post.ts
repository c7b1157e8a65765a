import { shopRoute } from '../../http/route'
import { addModel } from '../../services/spec-book'

export default shopRoute('POST /api/models', ({ pool, person, body }) => addModel(pool, person, body))
