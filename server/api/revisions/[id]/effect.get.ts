import { effectOf } from '../../../services/spec-book'
import { shopRoute } from '../../../http/route'

export default shopRoute('GET /api/revisions/:id/effect', ({ pool, person, id }) => effectOf(pool, person, id))
