import { sessionOf, setUpShop } from '../../services/people'
import { openRoute } from '../../http/route'
import { startSession } from '../../http/session'

export default openRoute('POST /api/setup', async ({ pool, event, body }) => {
  const lead = await setUpShop(pool, body)
  await startSession(event, lead, body.lead.signIn)
  return sessionOf(pool, lead)
})
