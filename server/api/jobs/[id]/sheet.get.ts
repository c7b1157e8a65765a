import { readSheet } from '../../../services/sheet'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(null, ({ event, person }) => readSheet(pool(), person.shopId, idOf(event), new Date()))
