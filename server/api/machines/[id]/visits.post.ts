import { addPastVisit } from '../../../services/machines/edit'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('POST /api/machines/:id/visits', ({ person, body, id }) =>
  addPastVisit(pool(), person, id, body, new Date()),
)
