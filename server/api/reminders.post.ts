import { tellOwner } from '../services/due'
import { pool } from '../startup'
import { shopRoute } from '../utils/api'

export default shopRoute('POST /api/reminders', ({ person, body }) => tellOwner(pool(), person, body, new Date()))
