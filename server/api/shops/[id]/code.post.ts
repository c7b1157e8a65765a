import { runnerRoute } from '../../../http/runner-route'
import { makeWayIn } from '../../../services/shops'

export default runnerRoute('POST /api/shops/:id/code', async given => {
  const { name, ...wayIn } = await makeWayIn(given.pool, given.person, given.id, new Date())
  given.subject = `${name}, ${wayIn.signIn}`
  return wayIn
})
