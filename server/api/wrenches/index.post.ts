import { wrenchRequestSchema } from '../../../shared/requests'
import { addWrench } from '../../services/shelf'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(wrenchRequestSchema, ({ person, body }) => addWrench(pool(), person.shopId, body), 'lead')
