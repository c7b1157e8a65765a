import { shopRoute } from '../http/route'
import { readShelf } from '../services/shelf'

export default shopRoute('GET /api/shelf', ({ pool, person }) => readShelf(pool, person.shopId))
