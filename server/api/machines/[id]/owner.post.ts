import { changeOwner } from '../../../services/machines/edit'
import { shopRoute } from '../../../http/route'

export default shopRoute('POST /api/machines/:id/owner', ({ pool, person, body, id }) =>
  changeOwner(pool, person, id, body, new Date()),
)
