import { readRows } from '../../../services/spec-import'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('GET /api/spec-imports/:id/rows', ({ person, id, query }) => {
  const { state, after } = query
  return readRows(pool(), person, id, state, after)
})
