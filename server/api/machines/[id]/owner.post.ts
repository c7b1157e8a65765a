import { changeOwner } from '../../../services/machines/edit'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('POST /api/machines/:id/owner', ({ person, body, id }) =>
  changeOwner(pool(), person, id, body, new Date()),
)
