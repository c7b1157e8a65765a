import { meterSchema } from '../../../../shared/requests'
import { tellMeter } from '../../../services/machines/edit'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(meterSchema, ({ event, person, body }) =>
  tellMeter(pool(), person, idOf(event), body, new Date()),
)
