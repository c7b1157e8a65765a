import { listBladeSets } from '../../services/shelf'
import { shopRoute } from '../../http/route'

export default shopRoute('GET /api/blade-sets', ({ pool, person }) => listBladeSets(pool, person.shopId))
