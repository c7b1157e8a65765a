import { adapterRequestSchema } from '../../../shared/requests'
import { addAdapter } from '../../services/shelf'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(adapterRequestSchema, ({ person, body }) => addAdapter(pool(), person.shopId, body), 'lead')
