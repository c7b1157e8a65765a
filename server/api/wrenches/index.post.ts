import { shopRoute } from '../../http/route'
import { addWrench } from '../../services/shelf'

export default shopRoute('POST /api/wrenches', ({ pool, person, body }) => addWrench(pool, person.shopId, body), 'lead')
