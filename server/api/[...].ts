import { openRoute } from '../utils/api'
import { Problem } from '../utils/problem'

export default openRoute(null, async () => {
  throw new Problem(404, 'There is nothing at this address.')
})
