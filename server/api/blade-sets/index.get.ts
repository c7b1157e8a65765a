import { listBladeSets } from '../../services/shelf'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(null, ({ person }) => listBladeSets(pool(), person.shopId))
