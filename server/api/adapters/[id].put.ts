import { adapterRequestSchema } from '../../../shared/requests'
import { changeAdapter } from '../../services/shelf'
import { pool } from '../../startup'
import { idOf, shopRoute } from '../../utils/api'

export default shopRoute(
  adapterRequestSchema,
  ({ event, person, body }) => changeAdapter(pool(), person.shopId, idOf(event), body),
  'lead',
)
