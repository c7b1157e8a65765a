import { makeAddress } from '../../services/calendar'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(null, ({ person }) => makeAddress(pool(), person), 'lead')
