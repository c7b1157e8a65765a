import { openRoute } from '../../http/route'
import { endSession } from '../../http/session'

export default openRoute('DELETE /api/session', async ({ event }) => {
  await endSession(event)
  return { signedOut: true }
})
