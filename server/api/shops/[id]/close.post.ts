import { runnerRoute } from '../../../http/runner-route'
import { closeShop } from '../../../services/shops'

export default runnerRoute('POST /api/shops/:id/close', async given => {
  given.subject = await closeShop(given.pool, given.person, given.id)
})
