import { deviceShop } from '../services/device-shop'
import { shopRoute } from '../http/route'

export default shopRoute('GET /api/device-shop', ({ pool, person }) => deviceShop(pool, person.shopId, new Date()))
