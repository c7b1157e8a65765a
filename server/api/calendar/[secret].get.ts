import { getRouterParam } from 'h3'
import { calendarAt } from '../../services/calendar'
import { pool } from '../../startup'
import { openBytesRoute } from '../../utils/bytes'

/** For calendar programs, which cannot sign in: the address is the secret. */
export default openBytesRoute(({ event }) =>
  calendarAt(pool(), (getRouterParam(event, 'secret') ?? '').slice(0, 80), new Date()),
)
