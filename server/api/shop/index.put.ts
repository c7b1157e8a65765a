import { settleShop } from '../../services/shop'
import { shopRoute } from '../../http/route'

export default shopRoute('PUT /api/shop', ({ pool, person, body }) => settleShop(pool, person.shopId, body), 'lead')
