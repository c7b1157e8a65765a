import { tellMeter } from '../../../services/machines/edit'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('POST /api/machines/:id/meter', ({ person, body, id }) =>
  tellMeter(pool(), person, id, body, new Date()),
)
