import { renameModel } from '../../../services/spec-book'
import { shopRoute } from '../../../http/route'

export default shopRoute(
  'PUT /api/models/:id',
  ({ pool, person, body, id }) => renameModel(pool, person, id, body),
  'lead',
)
