import { runnerRoute } from '../../http/runner-route'
import { makeShop } from '../../services/shops'

export default runnerRoute('POST /api/shops', given => {
  given.subject = given.body.shop
  return makeShop(given.pool, given.body, new Date())
})
