import { runnerRoute } from '../../../http/runner-route'
import { reopenShop } from '../../../services/shops'

export default runnerRoute('POST /api/shops/:id/reopen', async given => {
  given.subject = await reopenShop(given.pool, given.person, given.id)
})
