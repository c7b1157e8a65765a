import { tellMeter } from '../../../services/machines/edit'
import { shopRoute } from '../../../http/route'

export default shopRoute('POST /api/machines/:id/meter', ({ pool, person, body, id }) =>
  tellMeter(pool, person, id, body, new Date()),
)
