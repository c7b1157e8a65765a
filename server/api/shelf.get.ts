import { readShelf } from '../services/shelf'
import { pool } from '../startup'
import { shopRoute } from '../utils/api'

export default shopRoute(null, ({ person }) => readShelf(pool(), person.shopId))
