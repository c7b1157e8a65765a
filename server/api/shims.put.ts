import { shimRequestSchema } from '../../shared/requests'
import { countShims } from '../services/shelf'
import { pool } from '../startup'
import { shopRoute } from '../utils/api'

export default shopRoute(shimRequestSchema, ({ person, body }) => countShims(pool(), person.shopId, body))
