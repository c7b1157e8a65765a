import { editMachine } from '../../../services/machines/edit'
import { shopRoute } from '../../../http/route'

export default shopRoute('PUT /api/machines/:id', ({ pool, person, body, id }) => editMachine(pool, person, id, body))
