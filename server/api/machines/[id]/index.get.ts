import { readMachine } from '../../../services/machines/memory'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(null, ({ event, person }) => readMachine(pool(), person.shopId, idOf(event), new Date()))
