import { readShelf } from '../services/shelf'
import { shopRoute } from '../http/route'

export default shopRoute('GET /api/shelf', ({ pool, person }) => readShelf(pool, person.shopId))
