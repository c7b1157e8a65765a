import { removeBladeSet } from '../../services/shelf'
import { pool } from '../../startup'
import { idOf, shopRoute } from '../../utils/api'

export default shopRoute(null, ({ event, person }) => removeBladeSet(pool(), person.shopId, idOf(event)), 'lead')
