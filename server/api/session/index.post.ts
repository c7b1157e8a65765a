import { letIn, tryAtTheDoor } from '../../http/door'
import { openRoute } from '../../http/route'
import { sessionOf } from '../../services/people'
import { checkSignIn } from '../../services/sign-in'

export default openRoute('POST /api/session', async ({ pool, event, body }) => {
  const person = await checkSignIn(pool, tryAtTheDoor(event, body), body.password)
  await letIn(event, person, body)
  return sessionOf(pool, person)
})
