import { addPastVisit } from '../../../services/machines/edit'
import { shopRoute } from '../../../http/route'

export default shopRoute('POST /api/machines/:id/visits', ({ pool, person, body, id }) =>
  addPastVisit(pool, person, id, body, new Date()),
)
