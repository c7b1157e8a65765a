import { shopSchema } from '../../../shared/requests'
import { settleShop } from '../../services/shop'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(shopSchema, ({ person, body }) => settleShop(pool(), person.shopId, body), 'lead')
