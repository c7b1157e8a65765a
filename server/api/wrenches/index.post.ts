import { addWrench } from '../../services/shelf'
import { shopRoute } from '../../http/route'

export default shopRoute('POST /api/wrenches', ({ pool, person, body }) => addWrench(pool, person.shopId, body), 'lead')
