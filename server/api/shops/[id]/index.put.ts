import { runnerRoute } from '../../../http/runner-route'
import { limitShop } from '../../../services/shops'

export default runnerRoute('PUT /api/shops/:id', async given => {
  given.subject = await limitShop(given.pool, given.id, given.body)
})
