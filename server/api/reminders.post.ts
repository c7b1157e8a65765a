import { tellOwner } from '../services/due'
import { shopRoute } from '../http/route'

export default shopRoute('POST /api/reminders', ({ pool, person, body }) => tellOwner(pool, person, body, new Date()))
