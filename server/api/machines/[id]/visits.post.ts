import { pastVisitSchema } from '../../../../shared/requests'
import { addPastVisit } from '../../../services/machines/edit'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(pastVisitSchema, ({ event, person, body }) =>
  addPastVisit(pool(), person, idOf(event), body, new Date()),
)
