import { readShelf } from '../services/shelf'
import { pool } from '../startup'
import { shopRoute } from '../utils/api'

export default shopRoute('GET /api/shelf', ({ person }) => readShelf(pool(), person.shopId))
