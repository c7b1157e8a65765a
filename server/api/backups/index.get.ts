import { shopRoute } from '../../http/route'
import { readBackups } from '../../services/backups'
import { checkOwnHouse } from '../../services/server-runner'

export default shopRoute(
  'GET /api/backups',
  async ({ pool, person }) => {
    await checkOwnHouse(pool, person)
    return readBackups()
  },
  'lead',
)
