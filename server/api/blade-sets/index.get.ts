import { listBladeSets } from '../../services/shelf'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('GET /api/blade-sets', ({ person }) => listBladeSets(pool(), person.shopId))
