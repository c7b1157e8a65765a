import { shopRoute } from '../../http/route'
import { makeAddress } from '../../services/calendar'

export default shopRoute('POST /api/calendar-addresses', ({ pool, person }) => makeAddress(pool, person), 'lead')
