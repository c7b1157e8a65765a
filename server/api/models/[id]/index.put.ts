import { renameModel } from '../../../services/spec-book'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('PUT /api/models/:id', ({ person, body, id }) => renameModel(pool(), person, id, body), 'lead')
