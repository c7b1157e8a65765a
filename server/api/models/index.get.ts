import { listModels } from '../../services/catalogue'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(null, ({ person }) => listModels(pool(), person.shopId))
