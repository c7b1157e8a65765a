import { shopRoute } from '../http/route'
import { tellOwner } from '../services/due'

export default shopRoute('POST /api/reminders', ({ pool, person, body }) => tellOwner(pool, person, body, new Date()))
