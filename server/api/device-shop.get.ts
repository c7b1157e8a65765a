import { shopRoute } from '../http/route'
import { deviceShop } from '../services/device-shop'

export default shopRoute('GET /api/device-shop', ({ pool, person }) => deviceShop(pool, person.shopId, new Date()))
