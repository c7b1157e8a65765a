import { listCustomers } from '../services/catalogue'
import { pool } from '../startup'
import { shopRoute } from '../utils/api'

export default shopRoute(null, ({ person }) => listCustomers(pool(), person.shopId))
