import { shopRoute } from '../../http/route'
import { readBackups } from '../../services/backups'
import { checkOwnHouse } from '../../services/house'

export default shopRoute(
  'GET /api/backups',
  async ({ pool }) => {
    await checkOwnHouse(pool)
    return readBackups()
  },
  'lead',
)
