import { sessionOf, setUpShop } from '../../services/people'
import { pool } from '../../startup'
import { openRoute } from '../../utils/api'
import { startSession } from '../../utils/session'

export default openRoute('POST /api/setup', async ({ event, body }) => {
  const lead = await setUpShop(pool(), body)
  await startSession(event, lead, body.lead.signIn)
  return sessionOf(pool(), lead)
})
