import { reminderSchema } from '../../shared/requests'
import { tellOwner } from '../services/due'
import { pool } from '../startup'
import { shopRoute } from '../utils/api'

export default shopRoute(reminderSchema, ({ person, body }) => tellOwner(pool(), person, body, new Date()))
