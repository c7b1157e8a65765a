import { openRoute } from '../../utils/api'
import { endSession } from '../../utils/session'

export default openRoute('DELETE /api/session', async ({ event }) => {
  await endSession(event)
  return { signedOut: true }
})
