import { signOutEverywhere } from '../../../services/people'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(null, ({ event, person }) => signOutEverywhere(pool(), person.shopId, idOf(event)), 'lead')
