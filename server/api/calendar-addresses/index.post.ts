import { makeAddress } from '../../services/calendar'
import { shopRoute } from '../../http/route'

export default shopRoute('POST /api/calendar-addresses', ({ pool, person }) => makeAddress(pool, person), 'lead')
