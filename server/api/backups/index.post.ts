import { shopRoute } from '../../http/route'
import { beginBackup } from '../../services/backups'
import { checkOwnHouse } from '../../services/house'

export default shopRoute(
  'POST /api/backups',
  async ({ pool, body }) => {
    await checkOwnHouse(pool)
    beginBackup(body.password, new Date())
  },
  'lead',
)
