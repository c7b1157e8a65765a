import { mergeMachines } from '../../../services/machines/edit'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('POST /api/machines/:id/merge', ({ person, body, id }) =>
  mergeMachines(pool(), person, id, body.intoId, new Date()),
)
