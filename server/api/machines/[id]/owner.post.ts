import { shopRoute } from '../../../http/route'
import { changeOwner } from '../../../services/machines/edit'

export default shopRoute('POST /api/machines/:id/owner', ({ pool, person, body, id }) =>
  changeOwner(pool, person, id, body, new Date()),
)
