import { editMachine } from '../../../services/machines/edit'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('PUT /api/machines/:id', ({ person, body, id }) => editMachine(pool(), person, id, body))
