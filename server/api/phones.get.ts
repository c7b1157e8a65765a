import { shopRoute } from '../http/route'
import { ownSession } from '../http/session'
import { readPhones } from '../services/phones'

export default shopRoute('GET /api/phones', async ({ pool, person, event }) =>
  readPhones(pool, person, await ownSession(event)),
)
