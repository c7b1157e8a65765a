import { shopRoute } from '../../../http/route'
import { renameModel } from '../../../services/spec-book'

export default shopRoute(
  'PUT /api/models/:id',
  ({ pool, person, body, id }) => renameModel(pool, person, id, body),
  'lead',
)
