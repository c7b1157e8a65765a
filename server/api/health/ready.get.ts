import { openRoute } from '../../utils/api'
import { startedUp } from '../../startup'

export default openRoute(null, async () => {
  await startedUp()
  return { status: 'ready' }
})
