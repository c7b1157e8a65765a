import { openRoute } from '../../http/route'
import { startSession, trustKey } from '../../http/session'
import { takeOver } from '../../services/change-of-hands'
import { sessionOf } from '../../services/people'

export default openRoute('POST /api/session/pin', async ({ pool, event, body }) => {
  const { person, deviceId } = await takeOver(pool, trustKey(event), body)
  await startSession(event, person, null, deviceId)
  return sessionOf(pool, { ...person, byPin: true })
})
