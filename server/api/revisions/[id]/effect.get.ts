import { shopRoute } from '../../../http/route'
import { effectOf } from '../../../services/spec-book'

export default shopRoute('GET /api/revisions/:id/effect', ({ pool, person, id }) => effectOf(pool, person, id))
