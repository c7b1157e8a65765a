import { shopRoute } from '../../../http/route'
import { addPastVisit } from '../../../services/machines/edit'

export default shopRoute('POST /api/machines/:id/visits', ({ pool, person, body, id }) =>
  addPastVisit(pool, person, id, body, new Date()),
)
