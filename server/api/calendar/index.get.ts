import { bytesRoute } from '../../http/file-route'
import { dueCalendar } from '../../services/calendar'

export default bytesRoute(({ pool, person }) => dueCalendar(pool, person.shopId, new Date()))
