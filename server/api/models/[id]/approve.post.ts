import { approveModel } from '../../../services/catalogue'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(null, ({ event, person }) => approveModel(pool(), person, idOf(event)), 'lead')
