import { openRoute } from '../../utils/api'
import { endSession } from '../../utils/session'

export default openRoute(null, async ({ event }) => {
  await endSession(event)
  return { signedOut: true }
})
