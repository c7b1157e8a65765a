import { bladeSetRequestSchema } from '../../../shared/requests'
import { changeBladeSet } from '../../services/shelf'
import { pool } from '../../startup'
import { idOf, shopRoute } from '../../utils/api'

// a mechanic too: whoever finds a blade bent or gone marks it
export default shopRoute(bladeSetRequestSchema, ({ event, person, body }) =>
  changeBladeSet(pool(), person.shopId, idOf(event), body),
)
