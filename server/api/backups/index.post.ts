import { shopRoute } from '../../http/route'
import { beginBackup } from '../../services/backups'
import { checkOwnHouse } from '../../services/server-runner'

export default shopRoute(
  'POST /api/backups',
  async ({ pool, person, body }) => {
    await checkOwnHouse(pool, person)
    beginBackup(body.password, new Date())
  },
  'lead',
)
