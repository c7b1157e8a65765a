import { changeEngine } from '../../../services/machines/edit'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('POST /api/machines/:id/engine', ({ person, body, id }) =>
  changeEngine(pool(), person, id, body, new Date()),
)
