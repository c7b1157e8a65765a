import { endAddress } from '../../services/calendar'
import { pool } from '../../startup'
import { idOf, shopRoute } from '../../utils/api'

export default shopRoute(null, ({ event, person }) => endAddress(pool(), person, idOf(event)), 'lead')
