import { shopRoute } from '../../../http/route'
import { mergeMachines } from '../../../services/machines/edit'

export default shopRoute('POST /api/machines/:id/merge', ({ pool, person, body, id }) =>
  mergeMachines(pool, person, id, body.intoId, new Date()),
)
