import { addDraft } from '../../../services/spec-book'
import { shopRoute } from '../../../http/route'

export default shopRoute('POST /api/models/:id/drafts', ({ pool, person, body, id }) =>
  addDraft(pool, person, id, body),
)
