import { shopRoute } from '../../http/route'
import { settleShop } from '../../services/shop'

export default shopRoute('PUT /api/shop', ({ pool, person, body }) => settleShop(pool, person.shopId, body), 'lead')
