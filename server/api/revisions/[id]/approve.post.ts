import { shopRoute } from '../../../http/route'
import { approveDraft } from '../../../services/spec-book'

export default shopRoute(
  'POST /api/revisions/:id/approve',
  ({ pool, person, body, id }) => approveDraft(pool, person, id, body.reason, new Date()),
  'lead',
)
