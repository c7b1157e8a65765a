import { dueCalendar } from '../../services/calendar'
import { pool } from '../../startup'
import { bytesRoute } from '../../utils/bytes'

export default bytesRoute(({ person }) => dueCalendar(pool(), person.shopId, new Date()))
