import { changeEngine } from '../../../services/machines/edit'
import { shopRoute } from '../../../http/route'

export default shopRoute('POST /api/machines/:id/engine', ({ pool, person, body, id }) =>
  changeEngine(pool, person, id, body, new Date()),
)
