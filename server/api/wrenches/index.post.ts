import { addWrench } from '../../services/shelf'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('POST /api/wrenches', ({ person, body }) => addWrench(pool(), person.shopId, body), 'lead')
