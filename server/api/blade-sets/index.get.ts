import { shopRoute } from '../../http/route'
import { listBladeSets } from '../../services/shelf'

export default shopRoute('GET /api/blade-sets', ({ pool, person }) => listBladeSets(pool, person.shopId))
