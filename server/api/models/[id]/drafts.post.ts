import { shopRoute } from '../../../http/route'
import { addDraft } from '../../../services/spec-book'

export default shopRoute('POST /api/models/:id/drafts', ({ pool, person, body, id }) =>
  addDraft(pool, person, id, body),
)
