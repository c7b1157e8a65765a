import { bladeSetRequestSchema } from '../../../shared/requests'
import { addBladeSet } from '../../services/shelf'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(bladeSetRequestSchema, ({ person, body }) => addBladeSet(pool(), person.shopId, body), 'lead')
