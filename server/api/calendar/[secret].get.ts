import { getRouterParam } from 'h3'
import { openBytesRoute } from '../../http/file-route'
import { calendarAt } from '../../services/calendar'

/** For calendar programs, which cannot sign in: the address is the secret. */
export default openBytesRoute(({ pool, event }) =>
  calendarAt(pool, (getRouterParam(event, 'secret') ?? '').slice(0, 80), new Date()),
)
