import { shopRoute } from '../../../http/route'
import { editMachine } from '../../../services/machines/edit'

export default shopRoute('PUT /api/machines/:id', ({ pool, person, body, id }) => editMachine(pool, person, id, body))
