import { letIn, tryAtTheDoor } from '../../http/door'
import { openRoute } from '../../http/route'
import { useCode } from '../../services/crew'
import { sessionOf } from '../../services/people'

export default openRoute('POST /api/session/code', async ({ pool, event, body }) => {
  const person = await useCode(pool, tryAtTheDoor(event, body), body, new Date())
  await letIn(event, person, body)
  return sessionOf(pool, person)
})
