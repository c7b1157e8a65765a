import { shopRoute } from '../../http/route'
import { addMachine } from '../../services/machines/edit'

export default shopRoute('POST /api/machines', ({ pool, person, body }) => addMachine(pool, person.shopId, body))
