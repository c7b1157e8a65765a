import { settleShop } from '../../services/shop'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('PUT /api/shop', ({ person, body }) => settleShop(pool(), person.shopId, body), 'lead')
