import { shopRoute } from '../../../http/route'
import { tellMeter } from '../../../services/machines/edit'

export default shopRoute('POST /api/machines/:id/meter', ({ pool, person, body, id }) =>
  tellMeter(pool, person, id, body, new Date()),
)
