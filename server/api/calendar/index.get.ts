import { dueCalendar } from '../../services/calendar'
import { bytesRoute } from '../../http/file-route'

export default bytesRoute(({ pool, person }) => dueCalendar(pool, person.shopId, new Date()))
