import { shopRoute } from '../../../http/route'
import { changeEngine } from '../../../services/machines/edit'

export default shopRoute('POST /api/machines/:id/engine', ({ pool, person, body, id }) =>
  changeEngine(pool, person, id, body, new Date()),
)
