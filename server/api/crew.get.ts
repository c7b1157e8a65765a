import { openRoute } from '../http/route'
import { trustKey } from '../http/session'
import { crewFor } from '../services/change-of-hands'

export default openRoute('GET /api/crew', ({ pool, event }) => crewFor(pool, trustKey(event)))
