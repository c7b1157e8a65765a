import { addBladeSet } from '../../services/shelf'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('POST /api/blade-sets', ({ person, body }) => addBladeSet(pool(), person.shopId, body), 'lead')
