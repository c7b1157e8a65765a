import { letIn } from '../../http/door'
import { openRoute } from '../../http/route'
import { sessionOf, setUpShop } from '../../services/people'

export default openRoute('POST /api/setup', async ({ pool, event, body }) => {
  const lead = await setUpShop(pool, body)
  await letIn(event, lead, body.lead)
  return sessionOf(pool, lead)
})
