import { makeAddress } from '../../services/calendar'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('POST /api/calendar-addresses', ({ person }) => makeAddress(pool(), person), 'lead')
