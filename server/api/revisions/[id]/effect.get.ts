import { effectOf } from '../../../services/spec-book'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('GET /api/revisions/:id/effect', ({ person, id }) => effectOf(pool(), person, id))
