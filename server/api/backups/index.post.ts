import { shopRoute } from '../../http/route'
import { beginBackup } from '../../services/backups'
import { checkOnlyShop } from '../../services/only-shop'

export default shopRoute(
  'POST /api/backups',
  async ({ pool, body }) => {
    await checkOnlyShop(pool)
    beginBackup(body.password, new Date())
  },
  'lead',
)
