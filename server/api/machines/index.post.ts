import { addMachine } from '../../services/machines/edit'
import { shopRoute } from '../../http/route'

export default shopRoute('POST /api/machines', ({ pool, person, body }) => addMachine(pool, person.shopId, body))
