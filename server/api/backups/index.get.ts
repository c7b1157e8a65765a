import { shopRoute } from '../../http/route'
import { readBackups } from '../../services/backups'
import { checkOnlyShop } from '../../services/only-shop'

export default shopRoute(
  'GET /api/backups',
  async ({ pool }) => {
    await checkOnlyShop(pool)
    return readBackups()
  },
  'lead',
)
