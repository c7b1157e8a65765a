import { shopRoute } from '../../../http/route'
import { readRows } from '../../../services/spec-import'

export default shopRoute('GET /api/spec-imports/:id/rows', ({ pool, person, id, query }) => {
  const { state, after } = query
  return readRows(pool, person, id, state, after)
})
